/** The one place that talks to the server: paths and shapes are those of its document, and there is one kind of error. */
import createClient from 'openapi-fetch';
import type { paths, Problem } from './schema';

export class ApiError extends Error {
  readonly fields: Record<string, string[]>;

  /** @param status 0 where there was no answer */
  constructor(
    readonly status: number,
    readonly problem: Partial<Problem>,
  ) {
    super(problem.detail ?? `The server answered ${status}.`);
    this.name = 'ApiError';
    this.fields = problem.errors ?? {};
  }
}

const base = '/api/v1';

export type Query = Record<string, string | number | boolean | null | undefined>;

/** What is unknown or empty is not asked for. */
export function spellQuery(query: Record<string, unknown>): string {
  const search = new URLSearchParams();
  for (const [name, value] of Object.entries(query)) {
    if (typeof value === 'boolean') {
      search.set(name, value ? '1' : '0');
    } else if ((typeof value === 'string' && value !== '') || typeof value === 'number') {
      search.set(name, String(value));
    }
  }
  return search.toString();
}

/** Where the browser itself goes for a file. */
export function address(path: string, query: Query = {}): string {
  const search = spellQuery(query);
  return `${base}/${path}${search === '' ? '' : `?${search}`}`;
}

function csrfToken(): string {
  const cookie = document.cookie.split('; ').find((part) => part.startsWith('XSRF-TOKEN='));
  return cookie === undefined ? '' : decodeURIComponent(cookie.slice('XSRF-TOKEN='.length));
}

async function readProblem(response: Response): Promise<Partial<Problem>> {
  try {
    return (await response.json()) as Partial<Problem>;
  } catch {
    return {};
  }
}

export const api = createClient<paths>({
  baseUrl: base,
  credentials: 'same-origin',
  headers: { Accept: 'application/json' },
  querySerializer: spellQuery,
});

api.use({
  onRequest({ request }) {
    request.headers.set('X-XSRF-TOKEN', csrfToken());
    return request;
  },
  async onResponse({ response }) {
    if (!response.ok) {
      throw new ApiError(response.status, await readProblem(response));
    }
  },
  onError({ error }) {
    if (!(error instanceof DOMException && error.name === 'AbortError')) {
      throw new ApiError(0, { detail: 'Can’t reach the server. Check that it’s running, then try again.' });
    }
  },
});

/** What was answered; a refusal was thrown before. */
export async function told<Data>(call: Promise<{ data?: Data; response: Response }>): Promise<Data> {
  const { data, response } = await call;
  if (data === undefined) {
    throw new ApiError(response.status, { detail: 'The server sent an empty answer.' });
  }
  return data;
}

/** Saves a file that the server makes of what it is sent. */
export async function save(path: string, body: unknown, name: string): Promise<void> {
  const response = await fetch(`${base}/${path}`, {
    method: 'POST',
    credentials: 'same-origin',
    headers: { Accept: 'application/json', 'Content-Type': 'application/json', 'X-XSRF-TOKEN': csrfToken() },
    body: JSON.stringify(body),
  });
  if (!response.ok) {
    throw new ApiError(response.status, await readProblem(response));
  }
  const link = document.createElement('a');
  link.href = URL.createObjectURL(await response.blob());
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(link.href), 60_000);
}
