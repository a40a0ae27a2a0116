/**
 * The day of this machine's calendar that a moment falls on, `2026-12-02`. Asked for every answer of years, so it is put
 * together by hand.
 *
 * @param moment  ms since 1970
 */
export function dayOf(moment: number | Date): string {
  const at = new Date(moment);
  const [month, day] = [at.getMonth() + 1, at.getDate()];
  return `${String(at.getFullYear()).padStart(4, '0')}-${month < 10 ? '0' : ''}${month}-${day < 10 ? '0' : ''}${day}`;
}
