/**
 * A script for the page: from a change to the frame in which something of the page is there, or has changed, ms.
 * @param change a statement; @param there an expression
 */
export const until = (change: string, there: string): string => `new Promise((resolve) => {
  const start = performance.now();
  const look = () => ${there} ? setTimeout(() => resolve(performance.now() - start)) : requestAnimationFrame(look);
  ${change};
  requestAnimationFrame(look);
})`;
