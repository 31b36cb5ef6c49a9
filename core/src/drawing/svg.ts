import type { Drawing, Fill, Point, Shape, Stroke, TextShape } from './shape.js';

/** Black on white, so that the sheet reads on any printer. */
const FILLS: Readonly<Record<Fill, string>> = {
  none: 'none',
  paper: '#fff',
  metal: '#fff',
  component: '#eee',
  section: '#fff',
  copper: '#c98a5a',
  ring: '#111',
  liner: '#e4e4e4',
  braid: '#bbb',
  rubber: '#888',
  accent: '#1f4fa3',
  ink: '#111',
  clash: '#b3261e',
  throat: '#e3c27a',
};
const STROKES: Readonly<Record<Stroke, string>> = {
  none: '',
  outline: 'stroke="#111" stroke-width="1.15" stroke-linejoin="round"',
  frame: 'stroke="#111" stroke-width="1.2"',
  fine: 'stroke="#111" stroke-width="0.7"',
  thread: 'stroke="#111" stroke-width="0.55"',
  centre: 'stroke="#555" stroke-width="0.7" stroke-dasharray="14 3 2 3"',
  hidden: 'stroke="#555" stroke-width="0.8" stroke-dasharray="4 3"',
  dimension: 'stroke="#1f4fa3" stroke-width="0.8"',
  leader: 'stroke="#111" stroke-width="0.8"',
  seal: 'stroke="#1f4fa3" stroke-width="2.2"',
  grid: 'stroke="#ddd" stroke-width="0.5"',
};
const TEXT: Readonly<Record<TextShape['role'], string>> = {
  title: 'fill="#111" font-weight="600"',
  text: 'fill="#111"',
  quiet: 'fill="#555"',
  dimension: 'fill="#1f4fa3"',
  figure: 'fill="#111" font-weight="600"',
  attention: 'fill="#7a520a" font-weight="600"',
  leak: 'fill="#b3261e" font-weight="600"',
};
const STATE_WORDS = { sealed: '', needs: '', leaks: ', does not seal', held: ', held: see the audit', made: ', made' } as const;

/** A drawing as a file of its own: SVG 1.1, all inks written out, nothing fetched. */
export function drawingToSvg(drawing: Drawing): string {
  const hatches = [...new Set(drawing.shapes.flatMap((s) => (s.kind === 'area' && s.hatch !== undefined ? [s.hatch] : [])))];
  const { width, height } = drawing;
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${width} ${height}" width="${width}" height="${height}" font-family="'Barlow Condensed', 'Arial Narrow', sans-serif">`,
    `<title>${escaped(drawing.title)}</title>`,
    '<defs>',
    ...hatches.map(
      (angle) =>
        `<pattern id="h${angle}" width="5" height="5" patternUnits="userSpaceOnUse" patternTransform="rotate(${angle})"><line x1="0" y1="0" x2="0" y2="5" stroke="#111" stroke-width="0.6"/></pattern>`,
    ),
    '</defs>',
    `<rect width="${width}" height="${height}" fill="#fff"/>`,
    ...drawing.shapes.map(element),
    '</svg>',
    '',
  ].join('\n');
}

function element(shape: Shape): string {
  switch (shape.kind) {
    case 'area': {
      const points = list(shape.points);
      const hatch =
        shape.hatch !== undefined && (shape.fill === 'section' || shape.fill === 'component')
          ? `<polygon points="${points}" fill="url(#h${shape.hatch})"/>`
          : '';
      return `<polygon points="${points}" fill="${FILLS[shape.fill]}" ${STROKES[shape.stroke]}/>${hatch}`;
    }
    case 'line':
      return `<polyline points="${list(shape.points)}" fill="none" ${STROKES[shape.stroke]}/>`;
    case 'dot':
      return `<circle cx="${at(shape.at[0])}" cy="${at(shape.at[1])}" r="${at(shape.radius)}" fill="${FILLS[shape.fill]}"/>`;
    case 'text':
      return `<text x="${at(shape.at[0])}" y="${at(shape.at[1])}" font-size="${shape.size}" text-anchor="${shape.anchor}" ${TEXT[shape.role]}>${escaped(shape.text)}</text>`;
    case 'balloon': {
      const [x, y] = shape.at.map(at);
      const [tx, ty] = shape.target.map(at);
      const ink = shape.tone === 'leaks' ? '#b3261e' : shape.tone === 'held' ? '#9a6a12' : '#111';
      const dash = shape.tone === 'needs' ? ' stroke-dasharray="3 2"' : '';
      return [
        `<g><title>Joint ${shape.number}${STATE_WORDS[shape.tone]}</title>`,
        `<line x1="${x}" y1="${y}" x2="${tx}" y2="${ty}" ${STROKES.leader}/><circle cx="${tx}" cy="${ty}" r="1.8" fill="#111"/>`,
        `<circle cx="${x}" cy="${y}" r="11" fill="#fff" stroke="${ink}" stroke-width="${shape.tone === 'leaks' || shape.tone === 'held' ? 2.4 : 1.2}"${dash}/>`,
        shape.tone === 'made' ? `<circle cx="${x}" cy="${y}" r="8.5" fill="none" stroke="${ink}" stroke-width="0.8"/>` : '',
        `<text x="${x}" y="${Number(y) + 5}" font-size="15" text-anchor="middle" fill="${ink}">${shape.number}</text></g>`,
      ].join('');
    }
  }
}

function list(points: readonly Point[]): string {
  return points.map((point) => point.map(at).join(',')).join(' ');
}

function at(value: number): string {
  return String(Math.round(value * 100) / 100);
}

function escaped(text: string): string {
  return text.replace(/[&<>"']/g, (c) => `&#${c.charCodeAt(0)};`);
}
