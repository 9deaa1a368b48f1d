import { inject, provideAppInitializer, type ApplicationConfig } from '@angular/core';
import { provideRouter, withComponentInputBinding, withDisabledInitialNavigation } from '@angular/router';
import { en_US, provideNzI18n } from 'ng-zorro-antd/i18n';
import { routes } from './app.routes';
import { CastingStore } from './state/casting-store';
import { START_LOG_WORKER } from './thermometer/log-worker';
import { START_PLAN_WORKER } from './state/plan-worker';
import { START_STUDY_WORKER } from './state/study-worker';

export const appConfig: ApplicationConfig = {
  providers: [
    provideRouter(routes, withComponentInputBinding(), withDisabledInitialNavigation()),
    provideNzI18n(en_US),
    provideAppInitializer(() => inject(CastingStore).load()),
    { provide: START_LOG_WORKER, useValue: () => new Worker(new URL('../workers/log.worker', import.meta.url), { type: 'module' }) },
    { provide: START_PLAN_WORKER, useValue: () => new Worker(new URL('../workers/plan.worker', import.meta.url), { type: 'module' }) },
    { provide: START_STUDY_WORKER, useValue: () => new Worker(new URL('../workers/study.worker', import.meta.url), { type: 'module' }) },
  ],
};
