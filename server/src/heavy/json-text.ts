import { promisify } from 'node:util';
import { brotliCompress, constants, gzip } from 'node:zlib';

/** How a large answer may be packed for those who can read it so. */
export type Packing = 'br' | 'gzip';

/** Brotli as tight as it is still quick: an answer of 6 MB takes about a tenth of a second, once. */
const QUALITY = 5;

/** An answer that is JSON already: from a worker it goes to the wire as it is. */
export class JsonText<T = unknown> {
  declare readonly says?: T;
  private readonly known = new Map<Packing, Promise<Buffer>>();

  constructor(readonly text: string) {}

  /** The text packed, beside the requests and once: for an answer that is kept and told again. */
  async packed(by: Packing): Promise<Buffer> {
    let found = this.known.get(by);
    if (!found) this.known.set(by, (found = pack(this.text, by)));
    return found;
  }
}

async function pack(text: string, by: Packing): Promise<Buffer> {
  return by === 'gzip' ? promisify(gzip)(text) : promisify(brotliCompress)(text, { params: { [constants.BROTLI_PARAM_QUALITY]: QUALITY } });
}

/** The packing that a request takes, by its header; undefined where it takes none. */
export function packingFor(accepted: string | undefined): Packing | undefined {
  const named = (accepted ?? '')
    .split(',')
    .map((one) => one.trim())
    .filter((one) => !/;\s*q=0(\.0*)?$/.test(one))
    .map((one) => one.split(';')[0]!.trim().toLowerCase());
  return (['br', 'gzip'] as const).find((packing) => named.includes(packing));
}
