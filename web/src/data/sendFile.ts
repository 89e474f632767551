import type { FetchBaseQueryError } from '@reduxjs/toolkit/query';
import { DetailedError, Upload, defaultOptions, type HttpRequest } from 'tus-js-client';

/** A broken connection is tried again for about four minutes, in a tunnel too; after that, whenever the person asks. */
const RETRY_DELAYS_MS = [0, 1000, 3000, 5000, 10_000, 20_000, 40_000, 60_000, 90_000];
const LOCKED = 423;
const ONE_REQUEST_BYTES = 512 * 1024;

export interface SentFile {
  /** What the server keeps it by. */
  readonly id: string;
  /** Forgets on this device that it was sent: it is stored for good. */
  readonly forget: () => Promise<void>;
}

export interface SendOptions {
  readonly token: () => string | undefined;
  readonly onSent: (share: number) => void;
  readonly onBroken: () => void;
}

const statusOf = (error: Error | DetailedError): number =>
  error instanceof DetailedError ? (error.originalResponse?.getStatus() ?? 0) : 0;

function faultOf(error: Error | DetailedError): FetchBaseQueryError {
  const status = statusOf(error);
  if (status === 0 || !(error instanceof DetailedError))
    return { status: 'FETCH_ERROR', error: error.message };
  try {
    return { status, data: JSON.parse(error.originalResponse?.getBody() ?? '') as unknown };
  } catch {
    return { status, data: undefined };
  }
}

/**
 * Sends a file so that a connection that breaks costs only what was on its way: what arrived stays with the server, and the rest
 * follows by itself, also after the page was loaded anew and the file chosen again. Gives the file, or why it was refused.
 */
export async function sendFile(
  file: File,
  { token, onSent, onBroken }: SendOptions,
): Promise<{ readonly data: SentFile } | { readonly error: FetchBaseQueryError }> {
  const { urlStorage } = defaultOptions;
  return new Promise((resolve) => {
    const upload = new Upload(file, {
      endpoint: '/api/uploads',
      retryDelays: RETRY_DELAYS_MS,
      // A small file is one request; of a larger one the address is known before its bytes are on their way.
      uploadDataDuringCreation: file.size < ONE_REQUEST_BYTES,
      onBeforeRequest: (request: HttpRequest) => request.setHeader('x-csrf-token', token() ?? ''),
      onProgress: (sent, all) => onSent(all > 0 ? sent / all : 1),
      // Also while the device says that it has no network: it may have one in a moment.
      onShouldRetry: (error) => {
        const status = statusOf(error);
        const again = status === 0 || status >= 500 || status === LOCKED || status === 409;
        if (again && status !== 507) onBroken();
        return again && status !== 507;
      },
      onError: (error) => resolve({ error: faultOf(error) }),
      onSuccess: () =>
        resolve({
          data: {
            id: upload.url?.split('/').at(-1) ?? '',
            forget: async () => {
              for (const { urlStorageKey } of await upload.findPreviousUploads())
                await urlStorage.removeUpload(urlStorageKey);
            },
          },
        }),
    });
    void upload
      .findPreviousUploads()
      // A browser that keeps nothing sends from the start.
      .catch(() => [])
      .then(([begun]) => {
        if (begun) upload.resumeFromPreviousUpload(begun);
        upload.start();
      });
  });
}
