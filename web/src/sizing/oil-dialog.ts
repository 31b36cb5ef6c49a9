import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { NgbActiveModal } from '@ng-bootstrap/ng-bootstrap';
import { Preferences } from '../data/preferences';
import { houseFigure, houseUnit } from './figure';
import { FlowView } from './flow-view';

/** The oil of a job: what each line and component holds, what to fill and when, what to buy. */
@Component({
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="g-dialog">
      <h2 id="oil-title">Oil to fill and to buy</h2>
      @if (oil(); as o) {
        <div class="two">
          <table class="g-table" aria-label="What holds oil">
            <tbody>
              @for (c of o.components; track c.component.id) {
                <tr>
                  <td>{{ c.component.name }}</td>
                  <td class="number">{{ litres(c.litres) }}</td>
                </tr>
              }
              @for (l of o.lines; track l.line.line.id) {
                <tr>
                  <td>L{{ l.line.line.number }} {{ l.line.line.name }}</td>
                  <td class="number">{{ litres(l.litres) }}</td>
                </tr>
              }
              <tr class="sum">
                <td>Added to the engine</td>
                <td class="number">{{ litres(o.addedL) }}</td>
              </tr>
              @if (o.totalL !== undefined) {
                <tr class="sum">
                  <td>With the engine</td>
                  <td class="number">{{ litres(o.totalL) }}</td>
                </tr>
              }
            </tbody>
          </table>
          <div>
            @if (o.cans; as c) {
              <p class="buy g-figure">Buy {{ c.number }} × {{ litres(c.litres) }}</p>
            }
            <h3>Filled in rounds</h3>
            <ol>
              @for (r of o.rounds; track r.when) {
                <li>
                  <strong class="g-figure">{{ litres(r.litres) }}</strong> {{ r.when }}
                </li>
              }
            </ol>
            <p class="quiet">
              Stop, let it run down, look at the level by the house's way, top up. The last word has the dipstick or the tank's mark.
            </p>
            @if (o.missing.length > 0) {
              <div class="g-verdict attention">
                <h3>Missing, and not in the sum</h3>
                <ul>
                  @for (m of o.missing; track m) {
                    <li>{{ m }}</li>
                  }
                </ul>
              </div>
            }
          </div>
        </div>
        <p class="quiet">
          Hoses: π/4 · d² · length, with their ends and fittings; drains by gravity count half, for they run down. What a component holds is
          said in the system.
        </p>
      }
      <div class="actions"><button type="button" class="g-button" ngbAutofocus (click)="modal.dismiss()">Close</button></div>
    </div>
  `,
  styles: `
    .two {
      display: grid;
      grid-template-columns: 1fr 1fr;
      gap: 22px;
    }
    td {
      padding: 3px 8px;
    }
    .sum td {
      border-top: 1px solid var(--ink);
      font-weight: 600;
    }
    .buy {
      margin: 0 0 8px;
      font-size: 24px;
      font-weight: 600;
    }
    h3 {
      margin: 0 0 4px;
      font: 600 17px/1.2 var(--head);
    }
    ol,
    ul {
      margin: 0 0 8px;
      padding-left: 20px;
    }
    .quiet {
      margin: 6px 0 0;
      color: var(--quiet);
      font-size: 13px;
    }
  `,
})
export class OilDialog {
  protected readonly modal = inject(NgbActiveModal);
  private readonly preferences = inject(Preferences);
  protected readonly oil = inject(FlowView).oil;
  protected readonly system = computed(() => this.preferences.system());

  protected litres(value: number | undefined): string {
    return value === undefined ? 'not known' : `${houseFigure(value, 'L', 2, this.system())}\u2009${houseUnit('L', this.system())}`;
  }
}
