/** The one place that talks to the server: JSON, CSRF, abort, and one kind of error. */

interface ProblemDetails {
  detail?: string;
  errors?: Record<string, string[]>;
  bad_rows?: unknown;
}

export class ApiError extends Error {
  constructor(
    readonly status: number,
    message: string,
    readonly fields: Record<string, string[]>,
    readonly problem: ProblemDetails,
  ) {
    super(message);
    this.name = 'ApiError';
  }
}

type Method = 'GET' | 'POST' | 'PATCH' | 'DELETE';
export type Query = Record<string, string | number | null | undefined>;

const base = '/api/v1/';

export function address(path: string, query: Query = {}): string {
  const search = new URLSearchParams();
  for (const [name, value] of Object.entries(query)) {
    if (value !== null && value !== undefined && value !== '') {
      search.set(name, String(value));
    }
  }
  const text = search.toString();
  return base + path + (text === '' ? '' : `?${text}`);
}

function csrfToken(): string {
  const cookie = document.cookie.split('; ').find((part) => part.startsWith('XSRF-TOKEN='));
  return cookie === undefined ? '' : decodeURIComponent(cookie.slice('XSRF-TOKEN='.length));
}

async function readProblem(response: Response): Promise<ProblemDetails> {
  try {
    return (await response.json()) as ProblemDetails;
  } catch {
    return {};
  }
}

async function send<T>(method: Method, url: string, body: unknown, signal?: AbortSignal): Promise<T> {
  const isForm = body instanceof FormData;
  const response = await fetch(url, {
    method,
    credentials: 'same-origin',
    headers: {
      Accept: 'application/json',
      'X-XSRF-TOKEN': csrfToken(),
      ...(body === undefined || isForm ? {} : { 'Content-Type': 'application/json' }),
    },
    ...(body === undefined ? {} : { body: isForm ? body : JSON.stringify(body) }),
    ...(signal === undefined ? {} : { signal }),
  }).catch((error: unknown) => {
    if (error instanceof DOMException && error.name === 'AbortError') {
      throw error;
    }
    throw new ApiError(0, 'The server cannot be reached. Check that it runs, then try again.', {}, {});
  });
  if (!response.ok) {
    const problem = await readProblem(response);
    throw new ApiError(response.status, problem.detail ?? `The server answered ${response.status}.`, problem.errors ?? {}, problem);
  }
  return (await response.json()) as T;
}

export const api = {
  get: <T>(path: string, query: Query = {}, signal?: AbortSignal) => send<T>('GET', address(path, query), undefined, signal),
  post: <T>(path: string, body: unknown) => send<T>('POST', address(path), body),
  patch: <T>(path: string, body: unknown) => send<T>('PATCH', address(path), body),
  delete: <T>(path: string) => send<T>('DELETE', address(path), undefined),
};
