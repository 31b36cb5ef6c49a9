import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import {
  fittingDrawing,
  formatQuantity,
  hoseDrawing,
  hoseEndDrawing,
  partGroups,
  partsList,
  sameSize,
  type Catalogue,
  type Drawing,
  type PartRow,
} from '@gewinde/core';
import { NgbModal } from '@ng-bootstrap/ng-bootstrap';
import { JobView } from '../data/job-view';
import { Preferences } from '../data/preferences';
import { DrawingView } from '../shared/drawing';
import { Icon } from '../shared/icon';
import { SealRulesDialog } from './seal-rules-dialog';

const SIZE = { width: 130, height: 46 };

/** The parts list, seals included, grouped as it is picked from the shelf, with a drawing beside each part. */
@Component({
  selector: 'g-parts-list',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [DrawingView, Icon, RouterLink],
  templateUrl: './parts-list.html',
  styleUrl: './parts-list.scss',
})
export class PartsListView {
  private readonly view = inject(JobView);
  private readonly preferences = inject(Preferences);
  private readonly modal = inject(NgbModal);
  protected readonly job = computed(() => this.view.document()?.job);
  protected readonly list = computed(() => {
    const assembled = this.view.job();
    return assembled ? partsList(assembled) : null;
  });
  protected readonly groups = computed(() => {
    const list = this.list();
    const catalogue = this.view.catalogue();
    if (!list || !catalogue) return [];
    return partGroups
      .map((name) => ({
        name: name.charAt(0).toUpperCase() + name.slice(1),
        rows: list.rows
          .filter((row) => row.group === name)
          .map((row) => ({
            row,
            drawing: drawingOf(row, catalogue),
            quantity: this.quantity(row),
            components: (this.view.document()?.components ?? []).filter((c) => row.components.includes(c.name) && c.part?.id === row.id),
            lines: row.lines.map((number) => ({ number, id: this.view.document()?.lines.find((l) => l.number === number)?.id })),
          })),
      }))
      .filter((group) => group.rows.length > 0);
  });

  /** The day it is printed. */
  protected readonly day = new Date().toLocaleDateString('en-GB', { day: 'numeric', month: 'short', year: 'numeric' });

  protected print(): void {
    window.print();
  }
  protected pdf(): string {
    return `/api/jobs/${this.job()?.id}/parts.pdf?units=${this.preferences.system()}`;
  }

  protected schools(): void {
    this.modal.open(SealRulesDialog, { ariaLabelledBy: 'seal-rules-title', size: 'lg' });
  }

  /** What one costs; of hose, a metre. */
  protected each({ unitPriceMinor, unit }: { readonly unitPriceMinor?: number; readonly unit: string }): string {
    return `${this.money(unitPriceMinor)}${unit === 'mm' && unitPriceMinor !== undefined ? ' a metre' : ''}`;
  }

  protected money(minor: number | undefined): string {
    return minor === undefined ? '—' : (minor / 100).toFixed(2);
  }

  protected incomplete(numbers: readonly number[]): string {
    return numbers.map((n) => `L${n}`).join(', ');
  }

  private quantity(row: PartRow): string {
    if (row.unit !== 'mm') return `${row.quantity}${row.unit === 'joint' ? (row.quantity === 1 ? ' joint' : ' joints') : ''}`;
    return this.preferences.system() === 'metric'
      ? `${(row.quantity / 1000).toFixed(3)}\u2009m`
      : formatQuantity(row.quantity, 'length', 'inch');
  }
}

function drawingOf(row: PartRow, catalogue: Catalogue): Drawing | null {
  const fitting = catalogue.fittings.find((f) => f.id === row.id);
  if (fitting) return fittingDrawing(fitting, SIZE);
  const end = catalogue.hoseEnds.find((e) => e.id === row.id);
  if (end)
    return hoseEndDrawing(
      end,
      catalogue.hoses.find((h) => h.construction === end.construction && sameSize(h, end)),
      SIZE,
    );
  const hose = catalogue.hoses.find((h) => h.id === row.id);
  return hose ? hoseDrawing(hose, SIZE) : null;
}
