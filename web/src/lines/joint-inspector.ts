import { ChangeDetectionStrategy, Component, computed, effect, inject, input, output } from '@angular/core';
import { FormControl, ReactiveFormsModule } from '@angular/forms';
import { RouterLink } from '@angular/router';
import {
  connectorThread,
  fit,
  formatConnector,
  formatMakeUp,
  inWords,
  isMetInPlumbing,
  jointNames,
  lookAlikesInWords,
  ringBed,
  sealUseOf,
  specify,
  threadPairDrawing,
  torquesInWords,
  type AssembledLine,
  type LineJoint,
} from '@gewinde/core';
import { JobStore } from '../data/job-store';
import { Preferences } from '../data/preferences';
import { ShopStore } from '../data/shop-store';
import { DrawingView } from '../shared/drawing';
import { JointRecord } from './joint-record';
import { RingCheck } from '../shared/ring-check';
import { SealGlyph } from '../shared/seal-glyph';

const VERDICT = { seals: 'Seals', leaks: 'Will leak', 'does-not-join': 'Does not join' } as const;

/** The joint in words: verdict first, then the pair, what it uses, make-up, source. */
@Component({
  selector: 'g-joint-inspector',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [DrawingView, JointRecord, ReactiveFormsModule, RingCheck, RouterLink, SealGlyph],
  templateUrl: './joint-inspector.html',
  styleUrl: './inspector.scss',
})
export class JointInspector {
  readonly joint = input.required<LineJoint>();
  readonly line = input.required<AssembledLine>();
  readonly back = output<void>();
  private readonly preferences = inject(Preferences);
  private readonly store = inject(JobStore);
  private readonly shop = inject(ShopStore);

  protected readonly made = new FormControl(false, { nonNullable: true });
  protected readonly verdict = computed(() => VERDICT[this.joint().mating.outcome]);
  protected readonly names = computed(() => jointNames(this.joint()).map((name) => name.charAt(0).toUpperCase() + name.slice(1)));
  protected readonly pair = computed(() =>
    this.joint().connectors?.map((c) => ({ notation: formatConnector(c), thread: connectorThread(c)?.designation })),
  );
  private readonly threads = computed(() => {
    const connectors = this.joint().connectors;
    const male = connectors?.find((c) => c.gender === 'male');
    const female = connectors?.find((c) => c.gender === 'female');
    const outside = male && connectorThread(male);
    const inside = female && connectorThread(female);
    return outside && inside ? { outside, inside } : null;
  });
  /** The two threads over one another. */
  protected readonly drawn = computed(() => {
    const threads = this.threads();
    if (!threads) return null;
    const { outside, inside } = threads;
    const system = this.preferences.system();
    return {
      drawing: threadPairDrawing(outside, inside, { width: 262, height: 118 }, system),
      words: inWords(fit(outside, inside), system),
    };
  });
  /** What plumbing thread the male one is first taken for, and the test that settles it. */
  protected readonly alike = computed(() => {
    const threads = this.threads();
    return (
      threads &&
      lookAlikesInWords(threads.outside, 'external', Infinity, this.preferences.system()).find((a) => isMetInPlumbing(a.designation))
    );
  });
  /** The figure for the metals that meet, and the other one beside it. */
  protected readonly makeUp = computed(() => {
    const { mating, metals } = this.joint();
    const { makeUp } = mating;
    const system = this.preferences.system();
    if (!makeUp)
      return metals?.includes('plastic')
        ? { figure: "by the maker's figure only", note: 'One side is plastic.', others: [], differ: '' }
        : null;
    const met = metals && makeUp.torques ? `${metals[0]} on ${metals[1]}` : undefined;
    const shown = makeUp.metal === 'steel' ? 'steel' : 'aluminium';
    const torques = torquesInWords(makeUp, system);
    const others = torques.filter((t) => makeUp.kind !== 'torque' || t.metal !== shown);
    const differ = torques.find((t) => t.metal === shown)?.readings;
    return { differ, figure: formatMakeUp(makeUp, system), met, note: makeUp.note, others };
  });
  /** The groove for a ring between the two, and what the ring meets there. */
  protected readonly bed = computed(() => {
    const { connectors } = this.joint();
    return connectors && ringBed(...connectors);
  });
  protected readonly use = computed(() => sealUseOf(this.line().line, this.store.document()?.job));
  /** What it takes: the part that meets it by the shop's rules, and why; what is in doubt about it. */
  protected readonly uses = computed(() => {
    const seal = this.joint().mating.seal;
    const catalogue = this.shop.catalogue();
    if (!seal) return null;
    if (seal.consumables.length === 0)
      return [{ name: this.joint().uncertain ? seal.method : 'Nothing', why: '', doubt: undefined, refused: [] }];
    return seal.consumables.map((needed) => {
      const { name, why, doubt, none, refused = [] } = specify(needed, this.use(), catalogue?.supplies ?? [], this.shop.schools().seals);
      return { name: needed.quantity > 1 && !none ? `${needed.quantity} × ${name}` : name, why, doubt, refused };
    });
  });

  /** Where another way would put it right: `at end B`, `between the two hoses`. */
  protected readonly where = computed(() => {
    const { way } = this.joint();
    const last = this.line().ways.length - 1;
    if (way === undefined) return null;
    if (last === 0) return 'there';
    return way === 0 ? 'at end A' : way === last ? 'at end B' : 'between the hoses';
  });

  constructor() {
    effect(() => this.made.setValue(this.joint().state === 'made', { emitEvent: false }));
  }

  /** Ticks the joint; names of joints that are no longer there go. */
  protected setMade(made: boolean): void {
    const { line, joints } = this.line();
    const ids = joints.filter((j) => (j.id === this.joint().id ? made : j.state === 'made')).map((j) => j.id);
    this.store.edit('line', line.id, { made: ids });
  }
}
