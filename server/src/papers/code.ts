import bwip from 'bwip-js/node';

/** A text as a Data Matrix code (ISO/IEC 16022), as SVG. */
export function codeSvg(text: string): string {
  return bwip.toSVG({ bcid: 'datamatrix', text, scale: 3, padding: 2, backgroundcolor: 'FFFFFF' });
}

/** The same as a picture for a paper. */
export async function codePng(text: string): Promise<Buffer> {
  return bwip.toBuffer({ bcid: 'datamatrix', text, scale: 6, padding: 0, backgroundcolor: 'FFFFFF' });
}
