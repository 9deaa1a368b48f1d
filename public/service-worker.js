/* global self, importScripts, Response, URL */
// Angular's service worker, with one thing added: while a run is open in a tab, no new version is looked for, so that none is taken in its middle.
const fetched = self.fetch.bind(self);

/** Each open run holds a lock by this name, and its own. */
const OF_A_RUN = 'kilnstone run ';

self.fetch = async (request, options) => {
  const url = new URL(typeof request === 'string' ? request : request.url, self.location.href);
  if (!url.pathname.endsWith('/ngsw.json') || !(await runIsOpen())) return fetched(request, options);
  // To Angular's worker this is a server that cannot be reached just now: it goes on with what it has.
  return new Response(null, { status: 504, statusText: 'A run is open' });
};

async function runIsOpen() {
  if (!self.navigator.locks) return false;
  const { held = [] } = await self.navigator.locks.query();
  return held.some(({ name }) => name.startsWith(OF_A_RUN));
}

importScripts('ngsw-worker.js');
