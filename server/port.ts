/** Why the application cannot be served, in a sentence for whoever started it. */
export class CannotServe extends Error {
  override readonly name = 'CannotServe';
}

/** Where it is served unasked. */
export const USUAL_PORT = 5270;

/**
 * The port asked for.
 *
 * @param text  as it stands in the environment; the usual one where it is not set, any free one where it is 0
 * @throws CannotServe where it is none
 */
export function askedPort(text: string | undefined): number {
  if (text === undefined) return USUAL_PORT;
  const port = Number(text);
  if (!/^\d{1,5}$/.test(text.trim()) || port > 65_535)
    throw new CannotServe(`PORT is "${text}", which is no port: a whole number from 1024 to 65535.`);
  return port;
}

/** What every answer of this server says of itself. */
export const SIGN = { header: 'X-Tint-Ladder', value: 'yes' } as const;

/** Whether what answers at an address is a Tint Ladder. */
export async function isTintLadder(address: string): Promise<boolean> {
  try {
    const answer = await fetch(address, { method: 'HEAD', signal: AbortSignal.timeout(1500) });
    return answer.headers.get(SIGN.header) === SIGN.value;
  } catch {
    return false;
  }
}
