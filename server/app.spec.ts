import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { brotliCompressSync, gzipSync } from 'node:zlib';
import { kilnstoneServer } from './app';

const PAGE = '<!doctype html><title>Kilnstone</title>';
const SCRIPT = 'console.log("kilnstone")'.repeat(40);

describe('the server', () => {
  let web: string;
  let server: Server;
  const get = (path: string, init?: RequestInit): Promise<Response> =>
    fetch(`http://127.0.0.1:${(server.address() as AddressInfo).port}${path}`, init);

  beforeAll(async () => {
    web = mkdtempSync(join(tmpdir(), 'web-'));
    writeFileSync(join(web, 'index.html'), PAGE);
    writeFileSync(join(web, 'main-ABCD1234.js'), SCRIPT);
    writeFileSync(join(web, 'main-ABCD1234.js.br'), brotliCompressSync(SCRIPT));
    writeFileSync(join(web, 'main-ABCD1234.js.gz'), gzipSync(SCRIPT));
    writeFileSync(join(web, 'chunk-D-x_4f9q.js'), SCRIPT);
    writeFileSync(join(web, 'worker-ABCD1234.js'), SCRIPT);
    writeFileSync(join(web, 'favicon.svg'), '<svg/>');
    server = createServer(kilnstoneServer(web));
    await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  });
  afterAll(async () => {
    server.closeAllConnections();
    await new Promise((resolve) => server.close(resolve));
    rmSync(web, { recursive: true });
  });

  it('gives the page for every address inside the app, never kept', async () => {
    for (const path of ['/', '/castings', '/casting/demo-bombs/coat']) {
      const response = await get(path);
      expect(response.status).toBe(200);
      expect(await response.text()).toBe(PAGE);
      expect(response.headers.get('cache-control')).toBe('no-cache');
    }
  });

  it('sends hashed files as they were compressed, to be kept for good; others are asked for again', async () => {
    const script = await get('/main-ABCD1234.js', { headers: { 'accept-encoding': 'br' } });
    expect(script.headers.get('content-encoding')).toBe('br');
    expect(script.headers.get('cache-control')).toContain('immutable');
    expect(await script.text()).toBe(SCRIPT);
    // What browsers ask for over plain http.
    const zipped = await get('/main-ABCD1234.js', { headers: { 'accept-encoding': 'gzip, deflate' } });
    expect(zipped.headers.get('content-encoding')).toBe('gzip');
    expect(zipped.headers.get('cache-control')).toContain('immutable');
    expect(await zipped.text()).toBe(SCRIPT);
    const plain = await get('/main-ABCD1234.js', { headers: { 'accept-encoding': 'identity' } });
    expect(plain.headers.get('content-encoding')).toBeNull();
    expect((await get('/chunk-D-x_4f9q.js')).headers.get('cache-control')).toContain('immutable');
    expect((await get('/favicon.svg')).headers.get('cache-control')).toBe('no-cache');
  });

  it('refuses a part that a file has not in a line, without its own traces', async () => {
    const response = await get('/favicon.svg', { headers: { range: 'bytes=900-999' } });
    expect(response.status).toBe(416);
    expect(response.headers.get('content-range')).toBe('bytes */6');
    expect(await response.text()).toBe('No such part of this file');
  });

  it('says so when a file is not there, rather than giving the page for it', async () => {
    const response = await get('/main-OLD00000.js');
    expect(response.status).toBe(404);
    expect(await response.text()).toBe('Not found');
    expect((await get('/castings', { method: 'POST' })).status).toBe(404);
  });

  it('lets only its own files run, in no frame, without raising plain http', async () => {
    const headers = (await get('/')).headers;
    const policy = headers.get('content-security-policy') ?? '';
    expect(policy).toContain("default-src 'none'");
    expect(policy).toContain("script-src 'self';");
    expect(policy).toContain("frame-ancestors 'none'");
    expect(policy).not.toContain('unsafe-eval');
    expect(policy).not.toContain('upgrade-insecure-requests');
    expect(headers.get('strict-transport-security')).toBeNull();
    expect(headers.get('x-powered-by')).toBeNull();
  });

  it('says the policy with every page and with a worker’s script, which is its page, and spares it on the parts a page takes in', async () => {
    for (const path of ['/', '/casting/demo-bombs/coat', '/worker-ABCD1234.js', '/favicon.svg', '/missing.js'])
      expect([path, (await get(path)).headers.get('content-security-policy')]).toEqual([
        path,
        expect.stringContaining("default-src 'none'"),
      ]);
    for (const path of ['/main-ABCD1234.js', '/chunk-D-x_4f9q.js']) {
      const { headers } = await get(path);
      expect(headers.get('content-security-policy')).toBeNull();
      expect(headers.get('x-content-type-options')).toBe('nosniff');
      expect(headers.get('cross-origin-resource-policy')).toBe('same-origin');
    }
  });

  it('does not reach outside its folder', async () => {
    for (const path of ['/..%2f..%2fetc/passwd', '/%2e%2e/%2e%2e/etc/passwd.txt'])
      expect(await (await get(path)).text()).not.toContain('root:');
  });
});
