import { inject } from '@angular/core';
import { Router, type ActivatedRouteSnapshot, type Routes } from '@angular/router';
import { CastingStore } from './state/casting-store';
import { PlanService } from './state/plan-service';
import { STATIONS } from './workspace/stations';
import { Workspace } from './workspace/workspace';

/** Opens on the casting that was open last, else the first, else the list. */
function home() {
  const castings = inject(CastingStore).castings();
  const open = castings.find((casting) => casting.id === lastOpen()) ?? castings[0];
  return inject(Router).createUrlTree(open ? ['/casting', open.id, 'coat'] : ['/castings']);
}

/** A station that there is not leads to the first thing one looks at. */
function knownStation({ paramMap }: ActivatedRouteSnapshot) {
  return (
    STATIONS.some((key) => key === paramMap.get('station')) ||
    inject(Router).createUrlTree(['/casting', paramMap.get('id'), 'coat'])
  );
}

/** Opens the casting of the address and plans it, in two tasks of their own before its page is drawn. */
async function planned({ paramMap }: ActivatedRouteSnapshot): Promise<void> {
  const plans = inject(PlanService);
  inject(CastingStore).open(paramMap.get('id') ?? undefined);
  const nextTask = (): Promise<void> => new Promise((resolve) => setTimeout(resolve));
  plans.draft();
  await nextTask();
  plans.plan();
  await nextTask();
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
  {
    path: 'castings',
    title: 'Castings · Kilnstone',
    loadComponent: () => import('./castings/castings').then((m) => m.Castings),
  },
  {
    path: 'castings/new',
    loadComponent: () => import('./castings/new-casting').then((m) => m.NewCasting),
  },
  {
    path: 'occasions',
    title: 'Occasions · Kilnstone',
    loadComponent: () => import('./occasions/occasions-page').then((m) => m.OccasionsPage),
  },
  { path: 'occasions/:id', loadComponent: () => import('./occasions/occasion-page').then((m) => m.OccasionPage) },
  { path: 'occasions/:id/sheet', loadComponent: () => import('./occasions/run-sheet').then((m) => m.RunSheet) },
  {
    path: 'bench',
    title: 'Bench · Kilnstone',
    loadComponent: () => import('./bench/runs-page').then((m) => m.RunsPage),
  },
  {
    path: 'bench/occasion/:id',
    data: { kind: 'occasion' },
    loadComponent: () => import('./bench/lay-out-page').then((m) => m.LayOutPage),
  },
  {
    path: 'bench/casting/:id',
    data: { kind: 'casting' },
    loadComponent: () => import('./bench/lay-out-page').then((m) => m.LayOutPage),
  },
  {
    path: 'bench/devices',
    title: 'Device desk · Kilnstone',
    loadComponent: () => import('./devices/devices-page').then((m) => m.DevicesPage),
  },
  { path: 'bench/:id', loadComponent: () => import('./bench/bench-page').then((m) => m.BenchPage) },
  { path: 'log', title: 'Log · Kilnstone', loadComponent: () => import('./log/log-page').then((m) => m.LogPage) },
  {
    path: 'log/lessons',
    title: 'Lessons · Kilnstone',
    loadComponent: () => import('./log/lessons-page').then((m) => m.LessonsPage),
  },
  { path: 'log/:id', loadComponent: () => import('./log/logged-run').then((m) => m.LoggedRun) },
  { path: 'molds', title: 'Molds · Kilnstone', loadComponent: () => import('./molds/molds').then((m) => m.Molds) },
  { path: 'molds/:id/measure', loadComponent: () => import('./molds/measure-page').then((m) => m.MeasurePage) },
  { path: 'molds/:id', loadComponent: () => import('./molds/mold-page').then((m) => m.MoldPage) },
  {
    path: 'pantry',
    title: 'Pantry · Kilnstone',
    loadComponent: () => import('./pantry/pantry-page').then((m) => m.PantryPage),
  },
  {
    path: 'pantry/preparations',
    title: 'Ganache, colour, caramel · Kilnstone',
    loadComponent: () => import('./pantry/preparations-page').then((m) => m.PreparationsPage),
  },
  { path: 'pantry/:id/drip', loadComponent: () => import('./pantry/drip-page').then((m) => m.DripPage) },
  { path: 'pantry/:id', loadComponent: () => import('./pantry/entry-page').then((m) => m.EntryPage) },
  {
    path: 'kitchen',
    title: 'Kitchen · Kilnstone',
    loadComponent: () => import('./kitchen/kitchen-page').then((m) => m.KitchenPage),
  },
  {
    path: 'casting/:id/thermometer',
    loadComponent: () => import('./thermometer/thermometer-page').then((m) => m.ThermometerPage),
    resolve: { planned },
  },
  {
    path: 'casting/:id/compare',
    loadComponent: () => import('./compare/compare-page').then((m) => m.ComparePage),
    resolve: { planned },
  },
  {
    path: 'casting/:id/find',
    loadComponent: () => import('./compare/find-page').then((m) => m.FindPage),
    resolve: { planned },
  },
  {
    path: 'clinic',
    title: 'Clinic · Kilnstone',
    loadComponent: () => import('./clinic/clinic-page').then((m) => m.ClinicPage),
  },
  {
    path: 'casting/:id/clinic',
    title: 'Clinic · Kilnstone',
    loadComponent: () => import('./clinic/clinic-page').then((m) => m.ClinicPage),
    resolve: { planned },
  },
  { path: 'casting/:id/weigh-out', loadComponent: () => import('./sheet/sheet').then((m) => m.Sheet) },
  {
    path: 'casting/:id/:station',
    component: Workspace,
    canActivate: [knownStation],
    resolve: { planned },
    runGuardsAndResolvers: (from, to) => from.paramMap.get('id') !== to.paramMap.get('id'),
  },
  { path: 'casting/:id', redirectTo: 'casting/:id/coat' },
  { path: '**', redirectTo: '' },
];
