import { DOCUMENT, Injectable, inject, signal } from '@angular/core';
import { Router } from '@angular/router';
import type { Part } from '../../core/record/casting';
import { addCoat, keepCoatsAsMade, removeCoat } from '../../core/edit/remedy';
import { CastingStore } from '../state/casting-store';
import { OpenPart } from '../state/open-part';
import { PlanService } from '../state/plan-service';
import { WorkingPanel } from '../state/working-panel';
import { STATIONS, STATION_ROWS } from '../workspace/stations';

/** The keys that work everywhere, and the list of them. Letters and signs rest while something is typed. */
@Injectable({ providedIn: 'root' })
export class Keys {
  private readonly store = inject(CastingStore);
  private readonly open = inject(OpenPart);
  private readonly plans = inject(PlanService);
  private readonly router = inject(Router);
  private readonly working = inject(WorkingPanel);
  private readonly document = inject(DOCUMENT);

  readonly listOpen = signal(false);
  /** Counts how often the search has been asked for. */
  readonly searchWanted = signal(0);
  readonly list: readonly { readonly keys: string; readonly does: string }[] = [
    ...STATIONS.map((station, i) => ({ keys: String(i + 1), does: `Open ${STATION_ROWS[station].name}` })),
    { keys: '+', does: 'One more coat' },
    { keys: '−', does: 'One coat less' },
    { keys: 'N', does: 'New casting' },
    { keys: '/', does: 'Search the castings' },
    { keys: 'Ctrl Z', does: 'Undo' },
    { keys: 'Ctrl Shift Z', does: 'Redo' },
    { keys: 'Space', does: 'Done, on the bench' },
    { keys: 'Z', does: 'Take back, on the bench' },
    { keys: 'M', does: 'Note something, on the bench' },
    { keys: 'T', does: 'Note what the probe shows, on the bench' },
    { keys: 'W', does: 'Note what the scale shows, on the bench' },
    { keys: 'arrows', does: 'Move a handle of the drawing that is in focus; from button to button, on the bench' },
    { keys: '?', does: 'This list' },
  ];

  press(event: KeyboardEvent): void {
    if (event.defaultPrevented || event.isComposing || event.altKey) return;
    if (event.ctrlKey || event.metaKey) return this.pressWithControl(event);
    if (this.typing(event.target)) return;
    const handled = this.pressed(event.key);
    if (handled) event.preventDefault();
  }

  private pressWithControl(event: KeyboardEvent): void {
    const key = event.key.toLowerCase();
    if (key !== 'z' && key !== 'y') return;
    event.preventDefault();
    if (key === 'y' || event.shiftKey) this.store.redo();
    else this.store.undo();
  }

  private pressed(key: string): boolean {
    if (key === '?') {
      this.working.close();
      this.listOpen.update((open) => !open);
      return true;
    }
    if (this.listOpen() || this.working.answer()) return false;
    const casting = this.store.current();
    const station = STATIONS[Number(key) - 1];
    if (key.toLowerCase() === 'n') void this.router.navigateByUrl('/castings/new');
    else if (key === '/') {
      this.searchWanted.update((n) => n + 1);
      void this.router.navigateByUrl('/castings');
    } else if (station && casting && this.inWorkspace()) void this.router.navigate(['/casting', casting.id, station]);
    else if ((key === '+' || key === '=') && this.inWorkspace()) this.changeCoats(addCoat);
    else if ((key === '-' || key === '−') && this.inWorkspace()) this.changeCoats(removeCoat);
    else return false;
    return true;
  }

  private changeCoats(change: (part: Part) => boolean): void {
    const made = this.plans.draft()?.coatsMade;
    if (!made) return;
    this.open.edit('coats', (part) => {
      keepCoatsAsMade(part, made);
      change(part);
    });
  }

  private inWorkspace(): boolean {
    return /^\/casting\/[^/]+\/(?!weigh-out|thermometer)/.test(this.router.url);
  }

  private typing(target: EventTarget | null): boolean {
    const active = target instanceof HTMLElement ? target : this.document.activeElement;
    if (!(active instanceof HTMLElement)) return false;
    return (
      active.isContentEditable ||
      active instanceof HTMLTextAreaElement ||
      active instanceof HTMLSelectElement ||
      (active instanceof HTMLInputElement && active.type !== 'radio')
    );
  }
}
