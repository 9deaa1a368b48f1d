import { TestBed } from '@angular/core/testing';
import { ChangeDetectionStrategy, Component, provideZonelessChangeDetection } from '@angular/core';
import { Router, provideRouter } from '@angular/router';
import { SwUpdate, type VersionEvent } from '@angular/service-worker';
import { Subject } from 'rxjs';
import { Bench } from '../../testing/bench';
import { UpdateOffer } from '../frame/update-offer';
import { AppUpdates } from './app-updates';

@Component({ template: '', changeDetection: ChangeDetectionStrategy.OnPush })
class Page {}

let versions: Subject<VersionEvent>;
let lost: Subject<unknown>;

beforeEach(() => {
  [versions, lost] = [new Subject(), new Subject()];
  TestBed.configureTestingModule({
    providers: [
      provideZonelessChangeDetection(),
      provideRouter([{ path: '**', component: Page }]),
      {
        provide: SwUpdate,
        useValue: {
          isEnabled: true,
          versionUpdates: versions,
          unrecoverable: lost,
          checkForUpdate: () => Promise.resolve(false),
          activateUpdate: () => Promise.resolve(true),
        },
      },
    ],
  });
});
afterEach(() => document.body.replaceChildren());

const hash = { hash: 'a' };

describe('a new version', () => {
  it('is offered once it is there, and not while it is looked for', async () => {
    const offer = await Bench.of(UpdateOffer);
    versions.next({ type: 'VERSION_DETECTED', version: hash });
    await offer.settle();
    expect(offer.text).toBe('');
    versions.next({ type: 'VERSION_READY', currentVersion: hash, latestVersion: { hash: 'b' } });
    await offer.settle();
    expect(offer.text).toContain('A new version of Kilnstone is here.');
    expect(offer.text).toContain('Load it now');
  });

  it('is not spoken of at the bench of a run, and is before and after it', async () => {
    const [updates, router] = [TestBed.inject(AppUpdates), TestBed.inject(Router)];
    versions.next({ type: 'VERSION_READY', currentVersion: hash, latestVersion: { hash: 'b' } });
    await router.navigateByUrl('/bench/casting/demo-bombs');
    expect(updates.offer()).toBe('newVersion');
    await router.navigateByUrl('/bench/4f3a');
    expect(updates.offer()).toBeUndefined();
    await router.navigateByUrl('/bench');
    expect(updates.offer()).toBe('newVersion');
  });

  it('is wanted at once where the browser has lost a part of the one that there is', () => {
    const updates = TestBed.inject(AppUpdates);
    lost.next({ type: 'UNRECOVERABLE_STATE', reason: 'x' });
    expect(updates.offer()).toBe('broken');
  });
});
