import * as orders from './order-commands.js';
import { addPart, editPart } from './part-commands.js';
import * as rack from './rack-commands.js';
import { setFlowRules, setSealRules, setShopRule, setStoreRules, setWeights } from './rule-commands.js';
import { keepStock, moveStock } from './shelf-commands.js';
import type { ShopCommand, ShopCommandName, ShopCommandOf } from './shop-commands.js';
import { ShopDraft, type ShopContext, type ShopOutcome, type ShopQuestions } from './shop-draft.js';
import * as suppliers from './supplier-commands.js';

/** Carries a command out; what it did, for the history. Each throws a CommandError where it cannot be. */
const runs: { readonly [N in ShopCommandName]: (draft: ShopDraft, command: ShopCommandOf<N>) => string } = {
  'add-part': addPart,
  'edit-part': editPart,
  'set-weights': setWeights,
  'set-seal-rules': setSealRules,
  'set-flow-rules': setFlowRules,
  'set-shop-rule': setShopRule,
  'set-store-rules': setStoreRules,
  'add-supplier': suppliers.addSupplier,
  'edit-supplier': suppliers.editSupplier,
  'add-offer': suppliers.addOffer,
  'edit-offer': suppliers.editOffer,
  'delete-offer': suppliers.deleteOffer,
  'keep-stock': keepStock,
  'move-stock': moveStock,
  'add-length': rack.addLength,
  'edit-length': rack.editLength,
  'scrap-length': rack.scrapLength,
  'reserve-lengths': rack.reserveForJob,
  'cut-piece': rack.cutPiece,
  'spoil-cut': rack.spoilCut,
  'take-back-cut': rack.takeBackCut,
  'trim-cut': rack.trimCut,
  'use-made': rack.useMade,
  'write-order': orders.writeOrder,
  'edit-order': orders.editOrder,
  'cancel-order': orders.cancelOrder,
  'send-order': orders.sendOrder,
  'acknowledge-order': orders.acknowledgeOrder,
  'order-unanswered': orders.orderUnanswered,
  'receive-order': orders.receiveOrder,
  'claim-order': orders.takeOver,
  'give-up-line': orders.giveUpLine,
};

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
    (runs[command.do] as (draft: ShopDraft, command: ShopCommand) => string)(draft, command),
  );
  return draft.outcome(more.length === 0 ? first : `${first} and ${more.length} more`);
}
