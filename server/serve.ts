import { createServer } from 'node:http';
import { fileURLToPath } from 'node:url';
import { dirname, join } from 'node:path';
import { kilnstoneServer } from './app';

const host = process.env['HOST'] ?? '127.0.0.1';
const port = Number(process.env['PORT'] ?? 4280);
const web = join(dirname(fileURLToPath(import.meta.url)), '..', 'web');

const server = createServer(kilnstoneServer(web));
server.on('error', (error: NodeJS.ErrnoException) => {
  console.error(
    error.code === 'EADDRINUSE'
      ? `Port ${port} is taken. Set PORT to a free one and start again.`
      : `The server cannot start: ${error.message}`,
  );
  process.exit(1);
});
server.listen(port, host, () =>
  console.log(`Kilnstone is at http://${host.includes(':') ? `[${host}]` : host}:${port}`),
);

for (const signal of ['SIGINT', 'SIGTERM'] as const) {
  process.on(signal, () => {
    server.close(() => process.exit(0));
    server.closeAllConnections();
  });
}
