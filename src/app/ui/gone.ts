import { NgTemplateOutlet } from '@angular/common';
import { ChangeDetectionStrategy, Component, ViewEncapsulation, input } from '@angular/core';
import { RouterLink } from '@angular/router';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { NzResultComponent } from 'ng-zorro-antd/result';

/** Stands where a record was that is not here any more: what may have happened, and the way to the others. */
@Component({
  selector: 'ks-gone',
  changeDetection: ChangeDetectionStrategy.OnPush,
  encapsulation: ViewEncapsulation.None,
  imports: [NgTemplateOutlet, NzButtonComponent, NzResultComponent, RouterLink],
  template: `
    @defer (on immediate) {
      <nz-result [nzIcon]="shell" [nzTitle]="what" [nzSubTitle]="why()" [nzExtra]="way" />
    } @placeholder {
      <ng-container [ngTemplateOutlet]="plain" />
    } @error {
      <ng-container [ngTemplateOutlet]="plain" />
    }
    <ng-template #plain>
      <ng-container [ngTemplateOutlet]="what" />
      <p>{{ why() }}</p>
      <ng-container [ngTemplateOutlet]="way" />
    </ng-template>
    <ng-template #shell>
      <svg viewBox="0 0 150 50" width="150" height="50" aria-hidden="true">
        <path d="M2 6h43M105 6h43" />
        <path class="dashed" d="M45 6a30 36 0 0 0 60 0" />
      </svg>
    </ng-template>
    <ng-template #what
      ><h1>{{ heading() }}</h1></ng-template
    >
    <ng-template #way>
      <a nz-button nzType="primary" [routerLink]="to()">{{ toText() }}</a>
    </ng-template>
  `,
  styles: `
    ks-gone,
    ks-gone .ant-result {
      display: grid;
      gap: 12px;
      justify-items: start;
      align-content: start;
    }
    ks-gone {
      padding: 60px 40px;
      svg {
        display: block;
        fill: none;
        stroke: var(--edge);
        stroke-width: 2;
        stroke-linejoin: round;
      }
      .dashed {
        stroke-dasharray: 4 5;
      }
      h1 {
        font-size: 26px;
      }
    }
  `,
})
export class Gone {
  readonly heading = input('This casting is not here any more');
  readonly why = input('It was deleted, perhaps in another tab, or it lives in another browser.');
  readonly to = input('/castings');
  readonly toText = input('See all castings');
}
