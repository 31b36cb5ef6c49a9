import { ShopDraft, type ShopContext, type ShopOutcome, type ShopQuestions } from './shop-draft.js';
import { shopCommands, type ShopCommand } from './shop-commands.js';

/**
 * What some commands do to what all jobs share, in words and rows: all of them or none. Nothing is written here; whoever asks writes the
 * outcome as it stands, under the lock under which the questions were answered.
 *
 * @param ask what the shop has; an answer that must be fetched first may be thrown for, and the commands run again
 * @throws {CommandError} why the first one that cannot be carried out cannot
 */
export function runShopCommands(commands: readonly ShopCommand[], ask: ShopQuestions, context: ShopContext): ShopOutcome {
  const draft = new ShopDraft(ask, context);
  const [first = '', ...more] = commands.map((command) =>
    (shopCommands[command.do].run as (draft: ShopDraft, command: ShopCommand) => string)(draft, command),
  );
  return draft.outcome(more.length === 0 ? first : `${first} and ${more.length} more`);
}
