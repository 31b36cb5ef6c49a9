import type { StockCommand } from '@gewinde/core';
import type { Knex } from 'knex';
import { setRow } from '../catalogue/set-row.js';
import type { Written } from '../history/change.js';
import { acknowledgeOrder, cancelOrder, editOrder, giveUpLine, receiveOrder, sendOrder, writeOrder } from './order-commands.js';
import { addLength, cutPiece, editLength, scrapLength, spoilCut, trimCut, useMade } from './rack-commands.js';
import { keepStock, moveStock } from './shelf-commands.js';
import { StockDraft } from './stock-draft.js';
import { addOffer, addSupplier, deleteOffer, editOffer, editSupplier } from './supplier-commands.js';

/** Carries out a command on what is bought, kept and cut. @throws {CommandError} */
export async function runStockCommand(trx: Knex.Transaction, command: StockCommand): Promise<Written> {
  if (command.do === 'set-store-rules')
    return setRow(trx, 'storeRules', command.version, { rules: command.rules }, 'Set how it is cut, kept and bought');
  const draft = new StockDraft(trx);
  return draft.write(await run(draft, command));
}

function run(draft: StockDraft, command: Exclude<StockCommand, { do: 'set-store-rules' }>): Promise<string> {
  switch (command.do) {
    case 'add-supplier':
      return addSupplier(draft, command);
    case 'edit-supplier':
      return editSupplier(draft, command);
    case 'add-offer':
      return addOffer(draft, command);
    case 'edit-offer':
      return editOffer(draft, command);
    case 'delete-offer':
      return deleteOffer(draft, command);
    case 'keep-stock':
      return keepStock(draft, command);
    case 'move-stock':
      return moveStock(draft, command);
    case 'add-length':
      return addLength(draft, command);
    case 'edit-length':
      return editLength(draft, command);
    case 'scrap-length':
      return scrapLength(draft, command);
    case 'cut-piece':
      return cutPiece(draft, command);
    case 'spoil-cut':
      return spoilCut(draft, command);
    case 'trim-cut':
      return trimCut(draft, command);
    case 'use-made':
      return useMade(draft, command);
    case 'write-order':
      return writeOrder(draft, command);
    case 'edit-order':
      return editOrder(draft, command);
    case 'cancel-order':
      return cancelOrder(draft, command);
    case 'send-order':
      return sendOrder(draft, command);
    case 'acknowledge-order':
      return acknowledgeOrder(draft, command);
    case 'receive-order':
      return receiveOrder(draft, command);
    case 'give-up-line':
      return giveUpLine(draft, command);
  }
}
