import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { Units } from '../state/units';
import { ChoiceList } from '../ui/choice-list';
import { farText, shownText, standingText } from '../wording/devices';
import { weighedText } from '../wording/format';
import { BenchRun } from './bench-run';
import { Measuring } from './measuring';

/** What probe and scale show, and what of it is noted at a press. */
@Component({
  selector: 'ks-bench-devices',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ChoiceList, NzButtonComponent],
  template: `
    @if (measuring.connected()) {
      <section aria-labelledby="bench-devices">
        <h2 id="bench-devices">Probe and scale</h2>
        <ul>
          <li [class.counts]="measuring.probe().settled !== undefined">
            <strong>{{ probe() }}</strong>
            <span>
              {{ standingText(measuring.probe()) }}
              <small>{{ measuring.bowlName() ? 'in ' + measuring.bowlName() : 'in the room' }}</small>
              <small class="far">{{ far() }}</small>
            </span>
            <button nz-button type="button" [disabled]="!leads()" (click)="measuring.noteTemperature()">Note, T</button>
          </li>
          <li [class.counts]="measuring.scale().settled !== undefined">
            <strong>{{ scale() }}</strong>
            <span>
              @if (wanted()) {
                <b>of {{ wanted() }}</b>
              }
              {{ standingText(measuring.scale()) }}
              <small>{{ toWeigh() }}</small>
            </span>
            <button nz-button type="button" [disabled]="!leads()" (click)="measuring.tare()">Tare</button>
            <button nz-button type="button" [disabled]="!leads()" (click)="measuring.noteWeight()">
              {{ measuring.what() === 'dose' ? 'Next, W' : 'Note, W' }}
            </button>
          </li>
        </ul>
        <p role="status">{{ measuring.said() }}</p>
        <div class="choices">
          @if (measuring.bowls().length > 1) {
            <ks-choice-list
              label="The probe is in"
              [options]="measuring.bowls()"
              [value]="chosenBowl()"
              (chosen)="measuring.chosenBowl.set($event)"
            />
          }
          @if (measuring.what(); as what) {
            <ks-choice-list
              label="On the scale is"
              [options]="measuring.whats()"
              [value]="what"
              (chosen)="measuring.weighed.set($event)"
            />
          }
        </div>
      </section>
    }
  `,
  styleUrls: ['./bench-lists.less', './bench-devices.less'],
})
export class BenchDevices {
  protected readonly measuring = inject(Measuring);
  private readonly units = inject(Units);
  protected readonly leads = inject(BenchRun).lead.leads;
  protected readonly standingText = standingText;
  protected readonly probe = computed(() => shownText(this.measuring.probe(), this.units.system()));
  protected readonly scale = computed(() => shownText(this.measuring.scale(), this.units.system()));
  protected readonly chosenBowl = computed(() => String(this.measuring.bowl()?.bowl ?? ''));
  protected readonly toWeigh = computed(() => {
    const what = this.measuring.whats().find(({ value }) => value === this.measuring.what());
    return what ? `to weigh: ${what.name}` : '';
  });
  protected readonly wanted = computed(() => {
    const kg = this.measuring.wantedKg();
    return kg === undefined ? '' : weighedText(kg, this.measuring.scale().step || 0.001, this.units.system());
  });
  protected readonly far = computed(() => {
    const [c, bowl] = [this.measuring.probe().settled, this.measuring.bowl()];
    return c === undefined || !bowl ? '' : farText(c, bowl.c);
  });
}
