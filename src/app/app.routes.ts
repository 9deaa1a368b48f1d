import { inject } from '@angular/core';
import { Router, type Routes } from '@angular/router';
import { CastingStore } from './state/casting-store';
import { Workspace } from './workspace/workspace';

/** Opens on the casting that was open last, else the first, else the list. */
function home() {
  const castings = inject(CastingStore).castings();
  const open = castings.find((casting) => casting.id === lastOpen()) ?? castings[0];
  return inject(Router).createUrlTree(open ? ['/casting', open.id, 'coat'] : ['/castings']);
}

function lastOpen(): string | null {
  try {
    return localStorage.getItem('kilnstone.open');
  } catch {
    return null;
  }
}

export const routes: Routes = [
  { path: '', pathMatch: 'full', canActivate: [home], children: [] },
  { path: 'castings', title: 'Castings · Kilnstone', loadComponent: () => import('./castings/castings').then((m) => m.Castings) },
  { path: 'casting/:id/weigh-out', loadComponent: () => import('./sheet/sheet').then((m) => m.Sheet) },
  { path: 'casting/:id/:station', component: Workspace },
  { path: 'casting/:id', redirectTo: 'casting/:id/coat' },
  { path: '**', redirectTo: '' },
];
