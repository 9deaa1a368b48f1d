import './zod-policy';
import { provideZonelessChangeDetection } from '@angular/core';
import { bootstrapApplication } from '@angular/platform-browser';
import { appConfig } from './app/app.config';
import { Frame } from './app/frame/frame';

bootstrapApplication(Frame, { ...appConfig, providers: [provideZonelessChangeDetection(), ...appConfig.providers] }).catch((error: unknown) => {
  console.error(error);
});
