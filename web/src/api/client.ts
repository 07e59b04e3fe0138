import createClient, { type Middleware } from "openapi-fetch";
import { connection } from "./connection";
import { answered, isOnce, keyOf } from "./once";
import type { components, paths } from "./schema";
import { isUntouched } from "./untouched";

export type Schemas = components["schemas"];

/** An error that the server explains: what happened, and the places that are wrong. */
export class Problem extends Error {
  constructor(
    readonly status: number,
    readonly code: string,
    message: string,
    readonly places: { path: string; message: string }[],
    /** What somebody else did meanwhile, where that is why. */
    readonly theirs?: unknown,
  ) {
    super(message);
  }
}

/** The token by which the server knows that a request comes from its own pages. */
function forgeryToken(): string {
  return document.cookie.match(/XSRF-TOKEN=([^;]+)/)?.[1] ?? "";
}

/** What a request that creates something says, by the request: it is read before it is sent. */
const bodies = new WeakMap<Request, string>();

const headers: Middleware = {
  async onRequest({ request, schemaPath }) {
    if (isUntouched(schemaPath)) {
      request.headers.set("X-Untouched", "true");
    }
    if (request.method !== "GET") {
      request.headers.set("X-XSRF-TOKEN", forgeryToken());
    }
    if (request.method === "POST" && isOnce(request.url)) {
      const body = await request.clone().text();
      bodies.set(request, body);
      request.headers.set("Idempotency-Key", keyOf(request.url, body));
    }
    return request;
  },
  onResponse({ request, response, schemaPath }) {
    connection.answered(response.status, schemaPath);
    const body = bodies.get(request);
    if (body !== undefined) {
      answered(request.url, body, response.status);
    }
  },
  onError({ error }) {
    if (!(error instanceof DOMException)) {
      connection.failed();
    }
  },
};

export const api = createClient<paths>({ baseUrl: location.origin });
api.use(headers);

/** The data of an answer; what went wrong is thrown as a {@link Problem}. */
export async function ok<T>(call: Promise<{ data?: T; error?: unknown; response: Response }>): Promise<T> {
  const { data, error, response } = await call;
  if (response.ok) {
    return data as T;
  }
  const body = (error ?? {}) as {
    code?: string;
    detail?: string;
    places?: Problem["places"];
    theirs?: unknown;
  };
  throw new Problem(
    response.status,
    body.code ?? "unexpected",
    body.detail ?? "Something went wrong. What was saved before is safe.",
    body.places ?? [],
    body.theirs,
  );
}

/** Sends a file to one of the paths that take one. */
export async function sendFile<T>(path: string, file: File, beside: Record<string, string> = {}): Promise<T> {
  const body = new FormData();
  body.set("file", file);
  for (const [name, text] of Object.entries(beside)) {
    body.set(name, new Blob([text], { type: "text/plain" }));
  }
  const response = await fetch(path, { method: "POST", body, headers: { "X-XSRF-TOKEN": forgeryToken() } });
  connection.answered(response.status, path);
  return ok<T>(
    response.json().then((json) => ({ data: response.ok ? json : undefined, error: json, response })),
  );
}
