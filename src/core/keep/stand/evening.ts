/** A number for a text, the same on every machine (FNV-1a, from memory): which evening a panel was made on. */
export function numberOf(text: string): number {
  let hash = 0x811c9dc5;
  for (let i = 0; i < text.length; i++) hash = Math.imul(hash ^ text.charCodeAt(i), 0x01000193);
  return hash >>> 0;
}
