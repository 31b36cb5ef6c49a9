import { ChangeDetectionStrategy, Component, computed, inject, output, signal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { FormControl, ReactiveFormsModule } from '@angular/forms';
import {
  letters,
  lineFrom,
  portChoices,
  quantity,
  readLines,
  serviceById,
  taped,
  type LineAsk,
  type LineDrawn,
  type LineRead,
} from '@gewinde/core';
import { v4 as uuid } from 'uuid';
import { JobStore } from '../data/job-store';
import { Preferences } from '../data/preferences';
import { FlowView } from '../sizing/flow-view';

interface Row {
  readonly read: LineRead;
  readonly asks: readonly LineAsk[];
  readonly drawn?: LineDrawn;
  readonly words: string;
}

const SIZED = { said: '', flow: ', proposed by what runs in it', ports: ', proposed by its ports: a guess until it is sized' } as const;

/** Lines in words, one a row: read as they are typed, what is not clear asked with presses, drawn all in one change. */
@Component({
  selector: 'g-line-text',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ReactiveFormsModule],
  templateUrl: './line-text.html',
  styleUrl: './line-text.scss',
})
export class LineText {
  /** The line that was drawn; the last of several. */
  readonly lines = output<string>();
  private readonly store = inject(JobStore);
  private readonly flow = inject(FlowView);
  private readonly preferences = inject(Preferences);
  protected readonly maxLetters = letters.lineText;
  protected readonly text = new FormControl('', { nonNullable: true });
  private readonly typed = toSignal(this.text.valueChanges, { initialValue: '' });
  protected readonly problem = signal<string | null>(null);

  /** What was drawn of a row stays while its text and the job do: sizing each anew at every letter would be felt. */
  private readonly drawn = new Map<string, ReturnType<typeof lineFrom>>();
  private drawnFor: object | null = null;

  protected readonly rows = computed((): Row[] => {
    const [document, question] = [this.store.document(), this.flow.question()];
    if (!document) return [];
    const place = { document, ports: portChoices(document), system: this.preferences.system() };
    if (question !== this.drawnFor) this.drawn.clear();
    this.drawnFor = question;
    return readLines(this.typed(), place).map((read): Row => {
      if (read.asks.length > 0 || !question) return { read, asks: read.asks, words: wordsOf(read) };
      // two rows may say the same and mean other ports, and a bare figure another length
      const key = [read.text, read.from?.id, read.to?.id, read.length?.mm].join('\n');
      const found = this.drawn.get(key) ?? lineFrom(read, question, uuid());
      this.drawn.set(key, found);
      return 'ask' in found
        ? { read, asks: [found.ask], words: wordsOf(read) }
        : { read, asks: [], drawn: found, words: wordsOf(read, found) };
    });
  });
  protected readonly ready = computed(() => this.rows().length > 0 && this.rows().every((row) => row.drawn));

  /** Enter draws; with Shift another line is begun. */
  protected enter(event: Event): void {
    if ((event as KeyboardEvent).shiftKey) return;
    event.preventDefault();
    this.draw();
  }

  protected take({ read }: Row, text: string): void {
    this.text.setValue(
      this.text.value
        .split('\n')
        .map((line) => (line === read.text ? text : line))
        .join('\n'),
    );
  }

  protected draw(): void {
    const commands = this.rows().flatMap(({ drawn }) => (drawn ? [drawn.command] : []));
    const open = this.rows().find((row) => !row.drawn);
    if (open || commands.length === 0) {
      this.problem.set(open?.asks[0]?.words ?? 'Type a line first.');
      return;
    }
    try {
      this.store.change(...commands);
    } catch (error) {
      this.problem.set((error as Error).message);
      return;
    }
    this.text.reset();
    this.problem.set(null);
    this.lines.emit(commands[commands.length - 1]!.id!);
  }
}

/** `Turbo feed: Block, oil pressure to Turbo, oil inlet; -4 PTFE hose, steel braid; 620 mm taped`. */
function wordsOf({ service, name, from, to, length, bare }: LineRead, drawn?: LineDrawn): string {
  const how = { taped: 'taped', assembly: 'seat to seat', cut: 'cut' } as const;
  const run = [from?.name, to?.name].filter(Boolean).join(' to ');
  const hose = drawn?.hose ? `${drawn.hose.name}${SIZED[drawn.sizedBy ?? 'said']}` : bare ? 'no hose' : undefined;
  const said = [
    run,
    hose,
    length && (length.as === 'taped' ? `${taped(length.mm)} taped` : `${quantity(length.mm, 'mm')} ${how[length.as]}`),
  ];
  return `${name ?? (service ? serviceById(service).name : 'Line')}: ${said.filter(Boolean).join('; ')}`;
}
