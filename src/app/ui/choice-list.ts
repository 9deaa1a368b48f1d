import { MediaMatcher } from '@angular/cdk/layout';
import { DOCUMENT, NgTemplateOutlet } from '@angular/common';
import {
  type AfterViewChecked,
  ChangeDetectionStrategy,
  Component,
  ElementRef,
  computed,
  inject,
  input,
  output,
  signal,
  viewChild,
} from '@angular/core';
import { FormsModule } from '@angular/forms';
import { LucideChevronDown } from '@lucide/angular';
import { NzSelectComponent, NzSelectModule } from 'ng-zorro-antd/select';
import { alike } from '../../core/record/merge';
import type { Option } from '../wording/option';
import { Labelled } from './labelled';

/** A longer list than this is grouped, and searched by typing; in a shorter one a letter goes to the next name that begins with it. */
const IN_SIGHT = 8;

/** Height of a name in the list, px: for a finger, and for a pointer; the style says the same. */
const ROW_PX = { narrow: 44, wide: 36 } as const;
const NARROW = '(max-width: 720px)';

let lists = 0;

/** A labelled list to choose one from. */
@Component({
  selector: 'ks-choice-list',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [FormsModule, Labelled, LucideChevronDown, NgTemplateOutlet, NzSelectModule],
  templateUrl: './choice-list.html',
  styleUrl: './choice-list.less',
})
export class ChoiceList<T extends string> implements AfterViewChecked {
  private readonly document = inject(DOCUMENT);
  private readonly media = inject(MediaMatcher);
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;
  private readonly kit = viewChild.required(NzSelectComponent);
  readonly label = input.required<string>();
  readonly options = input.required<readonly Option<T>[]>();
  readonly value = input.required<T>();
  readonly chosen = output<T>();
  protected readonly id = `choice-${++lists}`;
  /** As the kit tells it. Were it told back, the kit would clear what was typed meanwhile. */
  protected readonly open = signal(false);
  protected readonly rowPx = signal<number>(ROW_PX.wide);
  /** Told anew without a change it is left as it stands: an open list that is drawn anew forgets where one is in it. */
  private readonly listed = computed(() => this.options(), { equal: alike });
  protected readonly searched = computed(() => this.listed().length > IN_SIGHT);
  protected readonly ungrouped = computed(() =>
    this.searched() ? this.listed().filter(({ group }) => !group) : this.listed(),
  );
  protected readonly groups = computed(() =>
    [...new Set(this.searched() ? this.listed().flatMap(({ group }) => group ?? []) : [])].map((name) => ({
      name,
      options: this.listed().filter(({ group }) => group === name),
    })),
  );
  /** As they stand in the list. */
  private readonly ordered = computed(() => [...this.ungrouped(), ...this.groups().flatMap(({ options }) => options)]);
  protected readonly current = computed(() => this.listed().find(({ value }) => value === this.value()));

  private picked: T | undefined;
  /** Whether it was open when a key went down, before the kit has heard of it. */
  private wasOpen = false;

  constructor() {
    this.host.addEventListener('keydown', () => (this.wasOpen = this.open()), { capture: true });
  }

  /** The kit says nothing of its list to those who hear the page: what is open, where one is in it, what is chosen. */
  ngAfterViewChecked(): void {
    const box = this.host.querySelector('input');
    if (!box) return;
    const open = this.open();
    const said: Record<string, string | undefined> = {
      role: 'combobox',
      'aria-haspopup': 'listbox',
      'aria-expanded': String(open),
      'aria-describedby': `${this.id}-chosen`,
      'aria-autocomplete': this.searched() ? 'list' : 'none',
      'aria-controls': open ? `${this.id}-list` : undefined,
      'aria-activedescendant': open ? this.optionId(this.kit().activatedValue as T) : undefined,
    };
    for (const [name, value] of Object.entries(said)) {
      if (value === undefined) box.removeAttribute(name);
      else if (box.getAttribute(name) !== value) box.setAttribute(name, value);
    }
    if (open) this.nameList();
    // What was chosen and not taken is not shown as chosen.
    if (this.picked !== undefined && this.picked !== this.value()) this.kit().writeValue(this.value());
    this.picked = undefined;
  }

  protected optionId(value: T): string {
    return `${this.id}-${this.place(value)}`;
  }

  /** Its place in the list, from 1; 0 where it is not in it. */
  protected place(value: T): number {
    return this.ordered().findIndex((option) => option.value === value) + 1;
  }

  protected turn(open: boolean): void {
    this.rowPx.set(this.media.matchMedia(NARROW).matches ? ROW_PX.narrow : ROW_PX.wide);
    this.open.set(open);
  }

  protected pick(value: T): void {
    if (value === this.value()) return;
    this.picked = value;
    this.chosen.emit(value);
  }

  protected press(event: KeyboardEvent): void {
    if (event.key === 'Escape' && this.open()) {
      // It closes the list, and nothing that the list stands in.
      event.stopPropagation();
      this.kit().setOpenState(false);
    } else if (!this.wasOpen && isCommand(event)) {
      // The kit opens at any key; a shortcut, or Shift on its way to Shift and Tab, asks for no list.
      this.kit().setOpenState(false);
    } else if (!this.searched() && event.key.length === 1 && event.key !== ' ')
      this.goTo(event.key.toLocaleLowerCase());
  }

  /** To the next name that begins with a letter. */
  private goTo(letter: string): void {
    const kit = this.kit();
    const options = this.ordered();
    const at = options.findIndex(({ value }) => value === kit.activatedValue);
    const next = [...options.slice(at + 1), ...options.slice(0, at + 1)].find(({ name }) =>
      name.toLocaleLowerCase().startsWith(letter),
    );
    if (next) kit.activatedValue = next.value;
  }

  private nameList(): void {
    const list = this.document.querySelector(`.${this.id} cdk-virtual-scroll-viewport`);
    if (!list || list.id) return;
    list.id = `${this.id}-list`;
    list.setAttribute('role', 'listbox');
    list.setAttribute('aria-label', this.label());
  }
}

/** Whether a key is no letter, and none of those that open a list. */
function isCommand({ key, ctrlKey, metaKey, altKey }: KeyboardEvent): boolean {
  return ctrlKey || metaKey || altKey || (key.length > 1 && !['ArrowDown', 'ArrowUp', 'Enter'].includes(key));
}
