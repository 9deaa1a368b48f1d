import { inject, isDevMode, provideAppInitializer, type ApplicationConfig } from '@angular/core';
import {
  NavigationEnd,
  Router,
  provideRouter,
  withComponentInputBinding,
  withDisabledInitialNavigation,
  withNavigationErrorHandler,
  type NavigationError,
} from '@angular/router';
import { filter, take } from 'rxjs';
import { NZ_DATE_CONFIG, en_US, provideNzI18n } from 'ng-zorro-antd/i18n';
import { provideServiceWorker } from '@angular/service-worker';
import { routes } from './app.routes';
import { CastingStore } from './state/casting-store';
import { DEVICE_LINKS, serverLink, workerLink } from './devices/device-link';
import { TICKS, ticking, workerBeats } from './bench/ticks';
import { START_LESSONS_WORKER } from './state/lessons-worker';
import { START_LOG_WORKER } from './thermometer/log-worker';
import { Notices, type Notice } from './state/notices';
import { firstDayOfWeek } from './wording/times';
import { START_PLAN_WORKER } from './state/plan-worker';
import { BUILD } from './state/found-timetable-storage';
import { START_STUDY_WORKER } from './state/study-worker';

/** A page whose parts cannot be loaded, as without a network: what happened, and the way on. */
function notLoaded({ url }: NavigationError): void {
  const notices = inject(Notices);
  const router = inject(Router);
  // Where it was the first page, there is none that goes on.
  const first = !router.navigated;
  const notice: Notice = {
    text: `That page could not be loaded. All you have entered is kept${first ? '.' : ', and this one goes on working.'}`,
    action: { name: 'Try again', run: () => location.assign(url) },
    stays: first,
  };
  notices.say(notice);
  router.events
    .pipe(
      filter((event) => event instanceof NavigationEnd),
      take(1),
    )
    .subscribe(() => notices.over(notice));
}

export const appConfig: ApplicationConfig = {
  providers: [
    provideRouter(
      routes,
      withComponentInputBinding(),
      withDisabledInitialNavigation(),
      withNavigationErrorHandler(notLoaded),
    ),
    // Well after the first page is there: what is kept for use without a network, 15 MB at the first visit, is not in its way.
    provideServiceWorker('service-worker.js', {
      enabled: !isDevMode(),
      registrationStrategy: 'registerWithDelay:15000',
    }),
    provideNzI18n(en_US),
    { provide: NZ_DATE_CONFIG, useFactory: () => ({ firstDayOfWeek: firstDayOfWeek() }) },
    provideAppInitializer(() => inject(CastingStore).load()),
    {
      provide: DEVICE_LINKS,
      useFactory: () => [
        serverLink(),
        workerLink(() => new Worker(new URL('../workers/devices.worker', import.meta.url), { type: 'module' })),
      ],
    },
    {
      provide: START_LESSONS_WORKER,
      useValue: () => new Worker(new URL('../workers/lessons.worker', import.meta.url), { type: 'module' }),
    },
    {
      provide: START_LOG_WORKER,
      useValue: () => new Worker(new URL('../workers/log.worker', import.meta.url), { type: 'module' }),
    },
    {
      provide: START_PLAN_WORKER,
      useValue: () => new Worker(new URL('../workers/plan.worker', import.meta.url), { type: 'module' }),
    },
    {
      provide: TICKS,
      useFactory: () =>
        ticking(workerBeats(() => new Worker(new URL('../workers/tick.worker', import.meta.url), { type: 'module' }))),
    },
    // The name of a built file follows from all that it takes in.
    { provide: BUILD, useValue: import.meta.url },
    {
      provide: START_STUDY_WORKER,
      useValue: () => new Worker(new URL('../workers/study.worker', import.meta.url), { type: 'module' }),
    },
  ],
};
