import { Injectable, signal } from '@angular/core';

/** What this browser keeps of the app and of what was entered. */
export interface KeptHere {
  /** Of so many files of the app so many are here; undefined where the browser keeps none, or it cannot be asked. */
  readonly files: { readonly here: number; readonly all: number } | undefined;
  /** What is taken up, and what there is room for, bytes. */
  readonly used: number | undefined;
  readonly room: number | undefined;
  /** The browser may not clear it by itself. */
  readonly forGood: boolean;
}

/** Asks the browser what it keeps. */
@Injectable({ providedIn: 'root' })
export class KeptHereState {
  readonly kept = signal<KeptHere | undefined>(undefined);

  async look(): Promise<void> {
    const storage = (navigator as Partial<Navigator>).storage as Partial<StorageManager> | undefined;
    const [estimate, forGood, files] = await Promise.all([
      storage?.estimate?.().catch(() => undefined),
      storage?.persisted?.().catch(() => false),
      filesHere().catch(() => undefined),
    ]);
    this.kept.set({ files, used: estimate?.usage, room: estimate?.quota, forGood: forGood ?? false });
  }

  /** Asks that it be kept for good; the browser decides. */
  async keepForGood(): Promise<void> {
    const storage = (navigator as Partial<Navigator>).storage as Partial<StorageManager> | undefined;
    await storage?.persist?.().catch(() => false);
    await this.look();
  }
}

/** How many of the files that the service worker's list names are in its caches. */
async function filesHere(): Promise<KeptHere['files']> {
  if (!('caches' in globalThis) || !navigator.serviceWorker?.controller) return undefined;
  const own = (await caches.keys()).filter((name) => /^ngsw:.*:assets:.*:cache$/.test(name));
  const urls = new Set<string>();
  for (const name of own) for (const { url } of await (await caches.open(name)).keys()) urls.add(new URL(url).pathname);
  const listed = await fetch('ngsw.json').then((response) => response.json() as Promise<{ hashTable: object }>);
  const all = Object.keys(listed.hashTable);
  return { here: all.filter((path) => urls.has(path)).length, all: all.length };
}
