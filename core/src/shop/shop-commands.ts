import { Type, type TSchema } from 'typebox';
import { OneKindOf } from '../schema/index.js';
import { stockCommandSchemas, type StockCommand, type StockCommandName, type StockCommandOf } from '../stock/index.js';
import {
  catalogueCommandSchemas,
  type CatalogueCommand,
  type CatalogueCommandName,
  type CatalogueCommandOf,
} from './catalogue-command-schemas.js';
import * as orders from './order-commands.js';
import { addPart, editPart } from './part-commands.js';
import * as rack from './rack-commands.js';
import { setFlowRules, setSealRules, setStoreRules, setWeights } from './rule-commands.js';
import { keepStock, moveStock } from './shelf-commands.js';
import type { ShopDraft } from './shop-draft.js';
import * as suppliers from './supplier-commands.js';

export type ShopCommandName = CatalogueCommandName | StockCommandName;
export type ShopCommandOf<N extends ShopCommandName> = N extends StockCommandName
  ? StockCommandOf<N>
  : N extends CatalogueCommandName
    ? CatalogueCommandOf<N>
    : never;
/** On what all jobs share: catalogue, shop rules, and what is bought, kept and cut. */
export type ShopCommand = CatalogueCommand | StockCommand;

/** All about a command on what all jobs share. */
export interface ShopCommandEntry<C extends ShopCommand> {
  readonly schema: TSchema;
  /** As it stands in a list of what waits to be sent. */
  readonly words: string;
  /** Who did it is kept with it, where that is known. */
  readonly signed?: true;
  /** Only the server gives it: no page and no program asks for it. */
  readonly inner?: true;
  /** Carries it out; what it did, for the history. @throws {CommandError} */
  readonly run: (draft: ShopDraft, command: C) => string;
}

const c = catalogueCommandSchemas;
const s = stockCommandSchemas;

export const shopCommands: { readonly [N in ShopCommandName]: ShopCommandEntry<ShopCommandOf<N>> } = {
  'add-part': { schema: c['add-part'], words: 'Add a part', run: addPart },
  'edit-part': { schema: c['edit-part'], words: 'Edit a part', run: editPart },
  'set-weights': { schema: c['set-weights'], words: 'Set what counts when ways are ranked', run: setWeights },
  'set-seal-rules': { schema: c['set-seal-rules'], words: 'Set which seals are taken', run: setSealRules },
  'set-flow-rules': { schema: c['set-flow-rules'], words: 'Set the figures for flow', run: setFlowRules },
  'set-store-rules': { schema: s['set-store-rules'], words: 'Set how it is cut, kept and bought', run: setStoreRules },
  'add-supplier': { schema: s['add-supplier'], words: 'Add a supplier', run: suppliers.addSupplier },
  'edit-supplier': { schema: s['edit-supplier'], words: 'Edit a supplier', run: suppliers.editSupplier },
  'add-offer': { schema: s['add-offer'], words: 'Add an offer', run: suppliers.addOffer },
  'edit-offer': { schema: s['edit-offer'], words: 'Edit an offer', run: suppliers.editOffer },
  'delete-offer': { schema: s['delete-offer'], words: 'Take out an offer', run: suppliers.deleteOffer },
  'keep-stock': { schema: s['keep-stock'], words: 'Say how a part is kept', run: keepStock },
  'move-stock': { schema: s['move-stock'], words: 'Move parts on the shelf', signed: true, run: moveStock },
  'add-length': { schema: s['add-length'], words: 'Put a length on the rack', signed: true, run: rack.addLength },
  'edit-length': { schema: s['edit-length'], words: 'Change a length', signed: true, run: rack.editLength },
  'scrap-length': { schema: s['scrap-length'], words: 'Throw a length away', signed: true, run: rack.scrapLength },
  'reserve-lengths': { schema: s['reserve-lengths'], words: 'Reserve lengths', run: rack.reserveForJob },
  'cut-piece': { schema: s['cut-piece'], words: 'Cut a piece', signed: true, run: rack.cutPiece },
  'spoil-cut': { schema: s['spoil-cut'], words: 'A piece is spoiled', signed: true, run: rack.spoilCut },
  'take-back-cut': { schema: s['take-back-cut'], words: 'Take a cut back', signed: true, run: rack.takeBackCut },
  'trim-cut': { schema: s['trim-cut'], words: 'Trim a piece', signed: true, run: rack.trimCut },
  'use-made': { schema: s['use-made'], words: 'Use a made hose', signed: true, run: rack.useMade },
  'write-order': { schema: s['write-order'], words: 'Write an order', run: orders.writeOrder },
  'edit-order': { schema: s['edit-order'], words: 'Edit an order', run: orders.editOrder },
  'cancel-order': { schema: s['cancel-order'], words: 'Cancel an order', run: orders.cancelOrder },
  'send-order': { schema: s['send-order'], words: 'Send an order', run: orders.sendOrder },
  'acknowledge-order': { schema: s['acknowledge-order'], words: 'Take in an acknowledgement', run: orders.acknowledgeOrder },
  'receive-order': { schema: s['receive-order'], words: 'Receive a delivery', run: orders.receiveOrder },
  'claim-order': { schema: s['claim-order'], words: 'Take what is over of an order', run: orders.takeOver },
  'give-up-line': { schema: s['give-up-line'], words: 'Give up what is still to come', run: orders.giveUpLine },
};

export const ShopCommandSchema = Type.Unsafe<ShopCommand>(
  OneKindOf(
    'do',
    Object.values(shopCommands).map((entry) => entry.schema),
    'ShopCommand',
  ),
);
