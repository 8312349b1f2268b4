/** A photograph on its way to the studio; whatever happens to it comes back as a sentence. */

/** What a file field takes: what phones write, and what is kept elsewhere. */
export const PICTURE_TYPES = 'image/jpeg,image/heic,image/heif,image/png,image/webp,image/avif,image/tiff,.heic';

export interface Trouble {
  readonly say?: string;
}

/** Sends a file, or nothing but the request; `onShare` hears how much of it has gone, 0 to 1. Never rejects. */
export function sendPhoto<T extends object>(
  url: string,
  file: File | null,
  onShare?: (share: number) => void,
): Promise<Trouble & Partial<T>> {
  return new Promise((resolve) => {
    const request = new XMLHttpRequest();
    request.open('POST', url);
    if (file && onShare) {
      request.upload.onprogress = (e) => onShare(e.total > 0 ? e.loaded / e.total : 0);
      request.upload.onload = () => onShare(1);
    }
    const sorry = (say: string) => resolve({ say } as Trouble & Partial<T>);
    request.onload = () => {
      try {
        resolve(JSON.parse(request.responseText) as Trouble & Partial<T>);
      } catch {
        sorry('The studio did not answer as it should. Nothing was lost; try once more.');
      }
    };
    request.onerror = () => sorry('The picture did not get through. Look at your connection and try once more.');
    if (!file) return request.send();
    const body = new FormData();
    body.append('photo', file);
    request.send(body);
  });
}
