import type { ApplicationRef } from '@angular/core';
import { Router } from '@angular/router';

export { appConfig } from './app.config';
export { Frame } from './frame/frame';

/** Goes to the page of the address; the frame is there already. */
export function openFirstPage(app: ApplicationRef): void {
  app.injector.get(Router).initialNavigation();
}
