/** How Chromium is started. */
export declare const BROWSER: { readonly executablePath: string; readonly args: string[] };
