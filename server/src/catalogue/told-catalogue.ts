import type { AnswerOf, shopContracts } from '@gewinde/core';
import type { Knex } from 'knex';
import { OURSELVES, type Heavy } from '../heavy/heavy.js';
import { JsonText } from '../heavy/json-text.js';
import { catalogueRevision, readShop } from './catalogue-store.js';

type Shop = AnswerOf<typeof shopContracts.readCatalogue>;

/**
 * The whole catalogue as it was last told, kept by its revision: whoever asks for the same again, and whoever asks meanwhile, gets what was
 * read once. What the database says decides, so that several servers tell the same.
 */
export class ToldCatalogue {
  private told: { readonly revision: string; readonly shop: Promise<JsonText<Shop>> } | undefined;

  constructor(
    private readonly db: Knex,
    private readonly heavy: Heavy,
  ) {}

  /** Differs whenever the catalogue does. */
  async revision(): Promise<string> {
    return catalogueRevision(this.db);
  }

  /** The catalogue of a revision, or of a later one. */
  async at(revision: string): Promise<JsonText<Shop>> {
    if (this.told?.revision !== revision) {
      const shop = this.heavy
        .run(readShop, OURSELVES)
        .then((read) => (read instanceof JsonText ? read : new JsonText<Shop>(JSON.stringify(read))));
      this.told = { revision, shop };
      // what could not be read is asked for again
      shop.catch(() => {
        if (this.told?.shop === shop) this.told = undefined;
      });
    }
    return this.told.shop;
  }
}
