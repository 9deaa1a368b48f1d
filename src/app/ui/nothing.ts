import { ChangeDetectionStrategy, Component, ViewEncapsulation } from '@angular/core';
import { NzEmptyComponent } from 'ng-zorro-antd/empty';

/** Stands where a list has nothing in it: why, and the ways on as buttons. */
@Component({
  selector: 'ks-nothing',
  changeDetection: ChangeDetectionStrategy.OnPush,
  encapsulation: ViewEncapsulation.None,
  imports: [NzEmptyComponent],
  template: `
    <nz-empty [nzNotFoundImage]="molds" [nzNotFoundContent]="why" [nzNotFoundFooter]="ways" />
    <ng-template #molds>
      <svg viewBox="0 0 150 44" width="150" height="44" aria-hidden="true">
        <path d="M2 6h18a20 20 0 0 0 40 0h30a20 20 0 0 0 40 0h18" />
        <path class="dashed" d="M26 16h28M96 16h28" />
      </svg>
    </ng-template>
    <ng-template #why><ng-content /></ng-template>
    <ng-template #ways><ng-content select="[nz-button]" /></ng-template>
  `,
  styles: `
    ks-nothing {
      display: block;
      padding: 36px 0;
      .ant-empty {
        display: grid;
        gap: 16px;
        justify-items: start;
        max-width: 520px;
        margin: 0;
        font-size: 15px;
        text-align: left;
        color: var(--soft);
      }
      .ant-empty-image,
      .ant-empty-footer {
        height: auto;
        margin: 0;
      }
      svg {
        display: block;
        fill: none;
        stroke: var(--edge);
        stroke-width: 2;
      }
      .dashed {
        stroke: var(--rule);
        stroke-dasharray: 4 4;
      }
    }
  `,
})
export class Nothing {}
