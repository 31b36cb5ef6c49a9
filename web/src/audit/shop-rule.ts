import { ChangeDetectionStrategy, Component, computed, effect, inject, input, signal, untracked } from '@angular/core';
import { takeUntilDestroyed, toSignal } from '@angular/core/rxjs-interop';
import { FormControl, FormGroup, ReactiveFormsModule, Validators } from '@angular/forms';
import { NgbModal } from '@ng-bootstrap/ng-bootstrap';
import {
  formatQuantity,
  letters,
  ruleValueProblem,
  shopContracts,
  type AnswerOf,
  type RuleForm,
  type RuleValue,
  type ShopRuleEntry,
} from '@gewinde/core';
import { debounceTime, of, Subject, switchMap, catchError } from 'rxjs';
import { Api } from '../data/api';
import { JobStore } from '../data/job-store';
import { Messages } from '../data/messages';
import { Preferences } from '../data/preferences';
import { ShopStore } from '../data/shop-store';
import { StockroomStore } from '../data/stockroom-store';
import { type Choice, ChoiceField } from '../shared/choice-field';
import { QuantityInput } from '../shared/quantity-input';
import { SetOver } from '../shared/set-over';
import { TextField } from '../shared/text-field';

type Preview = AnswerOf<typeof shopContracts.previewRule>;

/** One rule of the house: its value, why it is usual, what others do, and what another value would change before it is set. */
@Component({
  selector: 'g-shop-rule',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ChoiceField, QuantityInput, ReactiveFormsModule, TextField],
  templateUrl: './shop-rule.html',
  styleUrl: './shop-rule.scss',
})
export class ShopRule {
  readonly entry = input.required<ShopRuleEntry>();
  private readonly shop = inject(ShopStore);
  private readonly stock = inject(StockroomStore);
  private readonly api = inject(Api);
  private readonly jobs = inject(JobStore);
  private readonly messages = inject(Messages);
  private readonly preferences = inject(Preferences);
  private readonly modal = inject(NgbModal);

  /** The row it is kept in, with its version. */
  private readonly row = computed((): { readonly version: number; readonly rules: object } => {
    switch (this.entry().group) {
      case 'judging':
        return this.shop.judgingRulesRow();
      case 'flow':
        return this.shop.flowRulesRow();
      case 'seals':
        return this.shop.sealRulesRow();
      case 'ways':
        return { version: this.shop.weightsRow().version, rules: this.shop.weightsRow().weights };
      case 'store':
        return { version: this.stock.room().rulesVersion, rules: this.stock.room().rules };
    }
  });
  protected readonly value = computed(
    (): RuleValue => (this.row().rules as Record<string, RuleValue>)[this.entry().field] ?? this.entry().usual,
  );
  protected readonly control = new FormControl<RuleValue | null>(null);
  private readonly typed = toSignal(this.control.valueChanges, { initialValue: null });
  protected readonly changed = computed(() => {
    const typed = this.typed();
    return typed !== null && JSON.stringify(typed) !== JSON.stringify(this.value());
  });
  protected readonly problem = computed(() => (this.changed() ? ruleValueProblem(this.entry(), this.typed()) : undefined));
  protected readonly choices = computed((): readonly Choice<string>[] => {
    const { form } = this.entry();
    return form.kind === 'choice' ? form.choices : [];
  });
  protected readonly usual = computed(() => this.words(this.entry().usual));
  protected readonly usualSaid = computed(() => this.usual().slice(0, 1).toUpperCase() + this.usual().slice(1));
  private readonly asked = new Subject<RuleValue | null>();
  protected readonly preview = signal<Preview | 'asked' | null>(null);
  protected readonly setting = signal<SetOver | null>(null);

  /** The open job, where it may do this another way. */
  protected readonly job = computed(() => (this.entry().perJob ? (this.jobs.document()?.job ?? null) : null));
  protected readonly deviation = computed(() => this.job()?.deviations?.find((d) => d.rule === this.entry().id));
  protected readonly deviating = signal(false);
  protected readonly reason = new FormGroup({
    reason: new FormControl('', {
      nonNullable: true,
      validators: [(c) => Validators.required(c), Validators.pattern(/\S/), Validators.maxLength(letters.jointWords)],
    }),
    by: new FormControl(this.preferences.initials(), {
      nonNullable: true,
      validators: [(c) => Validators.required(c), Validators.pattern(/\S/)],
    }),
  });

  constructor() {
    effect(() => {
      const value = this.value();
      untracked(() => this.control.setValue(value));
    });
    effect(() => {
      const value = this.changed() && !this.problem() ? this.typed() : null;
      untracked(() => {
        this.preview.set(value === null ? null : 'asked');
        this.asked.next(value);
      });
    });
    this.asked
      .pipe(
        debounceTime(250),
        switchMap((value) =>
          value === null
            ? of(null)
            : this.api
                .call(shopContracts.previewRule, { body: { rule: this.entry().id, value: value as never } })
                .pipe(catchError(() => of(null))),
        ),
        takeUntilDestroyed(),
      )
      .subscribe((preview) => this.preview.set(preview));
  }

  /** The one control, as each kind of field takes it. */
  protected asNumber(): FormControl<number | null> {
    return this.control as FormControl<number | null>;
  }

  protected asText(): FormControl<string> {
    return this.control as FormControl<string>;
  }

  protected asQuantity(): Extract<RuleForm, { kind: 'quantity' }> {
    return this.entry().form as Extract<RuleForm, { kind: 'quantity' }>;
  }

  protected asPlain(): Extract<RuleForm, { kind: 'number' }> {
    return this.entry().form as Extract<RuleForm, { kind: 'number' }>;
  }

  protected told(): Preview | null {
    const preview = this.preview();
    return preview === 'asked' ? null : preview;
  }

  protected words(value: RuleValue): string {
    const { form } = this.entry();
    if (form.kind === 'quantity' && typeof value === 'number') return formatQuantity(value, form.of, this.preferences.system());
    if (form.kind === 'choice') return form.choices.find((c) => c.value === value)?.name ?? String(value);
    if (form.kind === 'yes') return value === true ? 'yes' : 'no';
    if (form.kind === 'number') return `${String(value)}${form.unit ? ` ${form.unit}` : ''}`;
    if (Array.isArray(value)) return value.map((v: string) => v.toUpperCase()).join(', ');
    return String(value) || 'not said';
  }

  protected async set(value: RuleValue | null = this.control.value): Promise<void> {
    if (value === null || ruleValueProblem(this.entry(), value)) return;
    const setting = this.setting() ?? new SetOver(this.row().version);
    this.setting.set(setting);
    const command = { do: 'set-shop-rule' as const, rule: this.entry().id, value: value as never };
    if (!(await setting.run((version) => this.shop.change({ ...command, version })))) return;
    this.setting.set(null);
    this.messages.tell(`${this.entry().name}: ${this.words(value)}`);
  }

  protected async order(): Promise<void> {
    const { SealRulesDialog } = await import('../order/seal-rules-dialog');
    this.modal.open(SealRulesDialog, { ariaLabelledBy: 'seal-rules-title', size: 'lg', scrollable: true });
  }

  protected deviate(): void {
    this.reason.markAllAsTouched();
    const value = this.control.value;
    if (this.reason.invalid || value === null || this.problem() || Array.isArray(value)) return;
    const { reason, by } = this.reason.getRawValue();
    this.preferences.initials.set(by.trim());
    const deviation = { rule: this.entry().id, value: value as string | number | boolean, by: by.trim(), reason: reason.trim() };
    if (!this.jobs.attempt(() => this.jobs.change({ do: 'deviate', deviation }), `${this.entry().name}: another way in this job`)) return;
    this.deviating.set(false);
    this.control.setValue(this.value());
  }

  protected follow(): void {
    this.jobs.attempt(() => this.jobs.change({ do: 'follow-shop', rule: this.entry().id }), 'The job follows the shop again');
  }
}
