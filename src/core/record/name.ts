/** Whether anything of a name can be seen: nothing of a blank, nor of a mark without width. */
export function isSeen(name: string): boolean {
  return /[^\p{C}\p{Z}]/u.test(name);
}
