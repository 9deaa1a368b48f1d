const TICK_MS = 500;

setInterval(() => postMessage(undefined), TICK_MS);
