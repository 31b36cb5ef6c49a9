import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { formatQuantity, type ThreadCandidate, type UnitSystem } from '@gewinde/core';

const MOST = 7;

/** What it may be, likeliest first, with the error in each figure. */
@Component({
  selector: 'g-candidate-list',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ol>
      @for (c of rows(); track c.designation) {
        <li>
          <button
            type="button"
            [class.shown]="c.designation === shown()"
            [attr.aria-pressed]="c.designation === shown()"
            (click)="pick.emit(c.designation)"
          >
            <span class="name g-mono">{{ c.designation }}</span>
            <span class="score g-figure">{{ c.percent }}</span>
            <span class="bar" aria-hidden="true"><span [style.width.%]="c.score * 100"></span></span>
            <small>{{ c.errors }}</small>
          </button>
        </li>
      }
    </ol>
  `,
  styleUrl: './candidate-list.scss',
})
export class CandidateList {
  readonly candidates = input.required<readonly ThreadCandidate[]>();
  readonly shown = input<string | null>(null);
  readonly system = input<UnitSystem>('metric');
  readonly measured = input.required<{ readonly diameterMm?: number; readonly pitchMm?: number; readonly threadsPerInch?: number }>();
  readonly pick = output<string>();

  protected readonly rows = computed(() =>
    this.candidates()
      .slice(0, MOST)
      .map((c) => ({
        designation: c.designation,
        score: c.score,
        percent: c.score >= 0.995 ? '> 99 %' : `${Math.max(1, Math.round(c.score * 100))} %`,
        errors: this.errors(c),
      })),
  );

  private errors({ diameterErrorMm, pitchErrorMm, alsoCalled, trials }: ThreadCandidate): string {
    const { diameterMm, pitchMm, threadsPerInch } = this.measured();
    const show = (mm: number, decimals: number): string =>
      Math.abs(mm) < 0.0005
        ? 'as measured'
        : `${mm >= 0 ? '+' : ''}${formatQuantity(mm, 'length', this.system(), { decimals, inchDecimals: 4 })}`;
    return [
      diameterMm === undefined ? '' : `diameter ${show(diameterErrorMm, 2)}`,
      pitchMm === undefined && threadsPerInch === undefined ? '' : `pitch ${show(pitchErrorMm, 3)}`,
      ...trials.filter((t) => !t.agrees).map((t) => `${t.known} would ${t.expected}`),
      trials.length > 0 && trials.every((t) => t.agrees) ? 'as tried' : '',
      alsoCalled ? `or ${alsoCalled}` : '',
    ]
      .filter(Boolean)
      .join(' · ');
  }
}
