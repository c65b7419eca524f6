/** A server for tests of parts: answers by method and path below `/api/v1`, as slow, as wrong and in whatever order a test wants. */

export interface Asked {
  method: string;
  /** Path below the API with its question. */
  path: string;
  body: unknown;
}

type Answer = Response | Promise<Response>;
type Answering = (asked: Asked) => Answer;

let answers: Record<string, Answering> = {};
export const asked: Asked[] = [];

export function json(body: unknown, status = 200): Response {
  return new Response(JSON.stringify(body), { status, headers: { 'Content-Type': 'application/json' } });
}

export function problem(status: number, detail: string, errors: Record<string, string[]> = {}): Response {
  return json({ type: 'about:blank', title: 'Refused', status, code: 'refused', detail, errors }, status);
}

/** An answer that comes when the test says so. */
export function later(): { answer: Promise<Response>; come: (response: Response) => void } {
  let come: (response: Response) => void = () => undefined;
  const answer = new Promise<Response>((resolve) => {
    come = resolve;
  });
  return { answer, come };
}

/** @param next method and path without question → what is answered */
export function serve(next: Record<string, Answering>): void {
  answers = next;
  asked.length = 0;
}

// The browser's own requests know where the page is, and end when nobody waits any longer.
const PlainRequest = globalThis.Request;
class PageRequest extends PlainRequest {
  constructor(input: RequestInfo | URL, { signal, ...init }: RequestInit = {}) {
    super(typeof input === 'string' && input.startsWith('/') ? `http://page.example${input}` : input, init);
    this.left = signal ?? null;
  }
  readonly left: AbortSignal | null;
}

async function answerTo(request: Request): Promise<Response> {
  const { pathname, search } = new URL(request.url);
  const text = await request.text();
  const path = pathname.replace('/api/v1', '');
  // A form with a file is no JSON; what it holds is the browser's business.
  const isJson = request.headers.get('Content-Type')?.includes('json') === true;
  const question: Asked = { method: request.method, path: path + search, body: isJson ? (JSON.parse(text) as unknown) : text };
  asked.push(question);
  const answering = answers[`${request.method} ${path}`];
  if (answering === undefined) {
    throw new Error(`Nobody answers ${request.method} ${path}.`);
  }
  const left = request instanceof PageRequest ? request.left : null;
  const gone = new Promise<never>((_, reject) => {
    left?.addEventListener('abort', () => reject(new DOMException('Nobody waits any longer.', 'AbortError')));
  });
  return left === null ? answering(question) : Promise.race([answering(question), gone]);
}

globalThis.Request = PageRequest;
globalThis.fetch = (input, init) =>
  answerTo(input instanceof Request ? input : new PageRequest(input instanceof URL ? input.href : input, init));
