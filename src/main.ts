import './zod-policy';
import { provideZonelessChangeDetection } from '@angular/core';
import { bootstrapApplication } from '@angular/platform-browser';

const nextTask = (): Promise<void> => new Promise((resolve) => setTimeout(resolve));

/** Framework, app, frame and first page each take a task of their own, so that none holds the browser up for long. */
async function start(): Promise<void> {
  const { Frame, appConfig, openFirstPage } = await import('./app/start');
  await nextTask();
  const app = await bootstrapApplication(Frame, {
    ...appConfig,
    providers: [provideZonelessChangeDetection(), ...appConfig.providers],
  });
  await nextTask();
  openFirstPage(app);
}

start().catch((error: unknown) => {
  console.error(error);
});
