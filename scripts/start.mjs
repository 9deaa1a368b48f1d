import { createServer } from 'node:net';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { build, checkNode, fail, install, root } from './prepare.mjs';

const host = process.env.HOST ?? '127.0.0.1';
const port = Number(process.env.PORT ?? 4280);

checkNode();
if (!Number.isInteger(port) || port < 1 || port > 65535)
  fail(`PORT is “${process.env.PORT}”; it must be a number from 1 to 65535.`);
await new Promise((free) => {
  const probe = createServer();
  probe.once('error', (error) =>
    fail(
      error.code === 'EADDRINUSE'
        ? `Port ${port} is taken. Set PORT to a free one and start again.`
        : `Cannot listen on ${host}:${port}: ${error.message}`,
    ),
  );
  probe.listen(port, host, () => probe.close(free));
});
install();
build();
await import(pathToFileURL(join(root, 'dist/server/serve.js')).href);
