/** The labels that somebody typed, separated by commas: each once, without what is left over. */
export function labelsOf(typed: string): string[] {
  const labels: string[] = [];
  for (const one of typed.split(/[,;\n]/)) {
    const label = one.replace(/\s+/g, " ").trim();
    if (label && !labels.some((l) => l.toLowerCase() === label.toLowerCase())) {
      labels.push(label);
    }
  }
  return labels;
}

/** What was typed with a label more, or without it. */
export function switched(typed: string, label: string): string {
  const labels = labelsOf(typed);
  const there = labels.filter((l) => l.toLowerCase() !== label.toLowerCase());
  return (there.length < labels.length ? there : [...labels, label]).join(", ");
}
