/** Rules of a style sheet times elements they are held against: more than this takes seconds. */
const MAX_MATCHES = 400_000;

/**
 * The drawing with what its style sheets say written on the elements they say it of: many programs name the line and the
 * filling of a shape there. A sheet that cannot be read, or asks for too much, stays as it is.
 *
 * @param text  a drawing that `checkSvg` lets through
 */
export async function withInlineStyles(text: string): Promise<string> {
  const sheets = text.match(/<style[\s>][\s\S]*?<\/style>/gi) ?? [];
  const rules = sheets.join('').split('{').length - 1;
  const elements = text.split('<').length - 1;
  if (rules === 0 || rules * elements > MAX_MATCHES) return text;
  const { optimize } = await import('svgo/browser');
  try {
    const plugin = { name: 'inlineStyles', params: { onlyMatchedOnce: false } } as const;
    return optimize(text, { plugins: [plugin] }).data;
  } catch {
    return text;
  }
}
