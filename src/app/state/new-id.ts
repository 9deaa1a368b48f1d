/** An id unlike any other. Works on pages over plain http too, where the browser's own maker of them is withheld. */
export function newId(): string {
  return Array.from(crypto.getRandomValues(new Uint8Array(16)), (byte) => byte.toString(16).padStart(2, '0')).join('');
}
