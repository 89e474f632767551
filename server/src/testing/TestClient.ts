import { v7 as uuidv7 } from 'uuid';
import type { Session } from '@white-ember/core/contract';

export interface Answer<T = unknown> {
  readonly status: number;
  readonly body: T;
  readonly headers: Headers;
}

/** A browser as the API sees it: keeps its cookie, carries the session's token on writes. */
export class TestClient {
  #cookie = '';
  #token = '';
  constructor(public address: string) {}

  async send<T = unknown>(
    method: string,
    path: string,
    body?: unknown,
    headers: Record<string, string> = {},
  ): Promise<Answer<T>> {
    const ready = body instanceof FormData || body instanceof Blob;
    const response = await fetch(`${this.address}${path}`, {
      method,
      headers: {
        ...(this.#cookie ? { cookie: this.#cookie } : {}),
        ...(this.#token ? { 'x-csrf-token': this.#token } : {}),
        ...(body === undefined || ready ? {} : { 'content-type': 'application/json' }),
        ...headers,
      },
      ...(body === undefined
        ? {}
        : { body: ready ? body : typeof body === 'string' ? body : JSON.stringify(body) }),
    });
    const cookie = response.headers.getSetCookie()[0];
    if (cookie) this.#cookie = cookie.split(';')[0] ?? '';
    const text = await response.text();
    const json =
      text !== '' && response.headers.get('content-type')?.includes('json')
        ? (JSON.parse(text) as unknown)
        : text;
    const token = (json as Partial<Session> | undefined)?.csrfToken;
    if (token) this.#token = token;
    return { status: response.status, body: json as T, headers: response.headers };
  }

  get = <T = unknown>(path: string): Promise<Answer<T>> => this.send<T>('GET', path);
  post = <T = unknown>(path: string, body?: unknown): Promise<Answer<T>> => this.send<T>('POST', path, body);
  put = <T = unknown>(path: string, body?: unknown): Promise<Answer<T>> => this.send<T>('PUT', path, body);
  delete = (path: string): Promise<Answer> => this.send('DELETE', path);

  get cookie(): string {
    return this.#cookie;
  }

  get token(): string {
    return this.#token;
  }

  /** Forgets the token, as a forged page would not know it. */
  forgetToken(): void {
    this.#token = '';
  }

  upload<T = unknown>(
    path: string,
    file: { name: string; bytes: Uint8Array },
    fields: object = { id: uuidv7() },
  ): Promise<Answer<T>> {
    const form = new FormData();
    form.set('fields', JSON.stringify(fields));
    form.set('file', new Blob([new Uint8Array(file.bytes)]), file.name);
    return this.send<T>('POST', path, form);
  }

  async signIn(signInName: string, password: string): Promise<Answer<Session>> {
    await this.get('/api/session');
    return this.post<Session>('/api/session', { signInName, password });
  }
}
