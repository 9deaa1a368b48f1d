import { Directive, computed, inject, input, type Signal } from '@angular/core';

/** What the fields within belong to: a casting, a part of it, a mold. It names the text they keep, so that a field has only to be told from those beside it. */
@Directive({ selector: '[ksScope]' })
export class FieldScope {
  readonly ksScope = input.required<string>();
  private readonly around = inject(FieldScope, { skipSelf: true, optional: true });
  readonly name: Signal<string> = computed(() =>
    this.around ? `${this.around.name()} ${this.ksScope()}` : this.ksScope(),
  );
}

/** The name of a field among all others: its own in the scope that it stands in. To be asked where the field is made. */
export function nameInScope(own: () => string): Signal<string> {
  const scope = inject(FieldScope, { optional: true });
  return computed(() => (scope ? `${scope.name()} ${own()}` : own()));
}
