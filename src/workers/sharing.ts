/**
 * Whether two workers can fill one table: they may share memory, which needs the headers that server/app.ts sends, the browser
 * knows of it (WebKit may be built without), and there is a core for either.
 */
export const CAN_SHARE =
  globalThis.crossOriginIsolated &&
  typeof SharedArrayBuffer !== 'undefined' &&
  navigator.hardwareConcurrency > 1;
