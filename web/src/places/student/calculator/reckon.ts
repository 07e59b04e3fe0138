/** In what angles are told; a plain calculator has none, and neither logarithms nor constants. */
export type Angles = "deg" | "rad" | "none";

/** What a line of a calculator comes to, or null where it cannot be read. */
export function reckon(line: string, angles: Angles): number | null {
  const tokens = tokensOf(line);
  if (tokens === null || tokens.length === 0 || (angles === "none" && !tokens.every(isPlain))) {
    return null;
  }
  const reader = new Reader(tokens, angles);
  const value = reader.sum();
  return reader.isAtEnd() && value !== null && Number.isFinite(value) ? value : null;
}

/** As a calculator shows it: at most twelve figures, without what only the machine's rounding adds. */
export function shown(value: number): string {
  const rounded = Number.parseFloat(value.toPrecision(12));
  return (Object.is(rounded, -0) ? 0 : rounded).toString().replace("-", "−").replace("e+", "e");
}

const FUNCTIONS = ["sin", "cos", "tan", "asin", "acos", "atan", "log", "ln", "√"] as const;
type Name = (typeof FUNCTIONS)[number];
type Token =
  | { kind: "number"; value: number }
  | { kind: "name"; name: Name }
  | { kind: "sign"; sign: string };

const isPlain = (token: Token): boolean =>
  token.kind === "number" ||
  (token.kind === "name" ? token.name === "√" : token.sign !== "π" && token.sign !== "e");

const TOKEN = /\s*(?:(\d+(?:[.,]\d*)?|[.,]\d+)|(asin|acos|atan|sin|cos|tan|log|ln|√)|([-+−×*÷/^()²πe%]))/y;

function tokensOf(line: string): Token[] | null {
  const tokens: Token[] = [];
  TOKEN.lastIndex = 0;
  const text = line.trimEnd();
  while (TOKEN.lastIndex < text.length) {
    const found = TOKEN.exec(text);
    if (!found) {
      return null;
    }
    const [, digits, name, sign] = found;
    if (digits !== undefined) {
      tokens.push({ kind: "number", value: Number.parseFloat(digits.replace(",", ".")) });
    } else if (name !== undefined) {
      tokens.push({ kind: "name", name: name as Name });
    } else {
      tokens.push({ kind: "sign", sign: sign ?? "" });
    }
  }
  return tokens;
}

/** Sums of products of powers; what stands side by side is multiplied. */
class Reader {
  private at = 0;

  constructor(
    private readonly tokens: Token[],
    private readonly angles: Angles,
  ) {}

  isAtEnd(): boolean {
    return this.at === this.tokens.length;
  }

  private takes(...signs: string[]): string | null {
    const next = this.tokens[this.at];
    if (next?.kind === "sign" && signs.includes(next.sign)) {
      this.at++;
      return next.sign;
    }
    return null;
  }

  sum(): number | null {
    let value = this.product();
    for (let sign = this.takes("+", "-", "−"); sign !== null; sign = this.takes("+", "-", "−")) {
      const next = this.product();
      value = value === null || next === null ? null : sign === "+" ? value + next : value - next;
    }
    return value;
  }

  private product(): number | null {
    let value = this.signed();
    for (;;) {
      const sign = this.takes("×", "*", "÷", "/");
      const next = sign !== null ? this.signed() : this.beginsFactor() ? this.power() : undefined;
      if (next === undefined) {
        return value;
      }
      value =
        value === null || next === null ? null : sign === "÷" || sign === "/" ? value / next : value * next;
    }
  }

  private beginsFactor(): boolean {
    const next = this.tokens[this.at];
    return next?.kind === "name" || (next?.kind === "sign" && ["(", "π", "e"].includes(next.sign));
  }

  private signed(): number | null {
    const sign = this.takes("-", "−", "+");
    const value = sign === null ? this.power() : this.signed();
    return value !== null && (sign === "-" || sign === "−") ? -value : value;
  }

  private power(): number | null {
    let base = this.atom();
    for (let sign = this.takes("²", "%"); sign !== null; sign = this.takes("²", "%")) {
      base = base === null ? null : sign === "²" ? base * base : base / 100;
    }
    if (this.takes("^") === null) {
      return base;
    }
    const exponent = this.signed();
    return base === null || exponent === null ? null : base ** exponent;
  }

  private atom(): number | null {
    const next = this.tokens[this.at++];
    if (next === undefined) {
      return null;
    }
    if (next.kind === "number") {
      return next.value;
    }
    if (next.kind === "name") {
      const value = this.atom();
      return value === null ? null : this.of(next.name, value);
    }
    switch (next.sign) {
      case "π":
        return Math.PI;
      case "e":
        return Math.E;
      case "(": {
        const value = this.sum();
        // A bracket that is open at the end is closed there.
        return this.takes(")") !== null || this.isAtEnd() ? value : null;
      }
      default:
        return null;
    }
  }

  private of(name: Name, value: number): number {
    const turn = this.angles === "deg" ? Math.PI / 180 : 1;
    switch (name) {
      case "sin":
        return nearly(Math.sin(value * turn));
      case "cos":
        return nearly(Math.cos(value * turn));
      case "tan":
        return nearly(Math.cos(value * turn)) === 0 ? Number.NaN : nearly(Math.tan(value * turn));
      case "asin":
        return Math.asin(value) / turn;
      case "acos":
        return Math.acos(value) / turn;
      case "atan":
        return Math.atan(value) / turn;
      case "log":
        return Math.log10(value);
      case "ln":
        return Math.log(value);
      case "√":
        return Math.sqrt(value);
    }
  }
}

/** Nought where only the machine's rounding makes it something else. */
const nearly = (value: number): number => (Math.abs(value) < 1e-15 ? 0 : value);
