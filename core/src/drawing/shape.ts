/**
 * The display list: everything that is drawn is a list of these, in sheet units with y downwards. A renderer (SVG on the screen,
 * PDF on paper) maps roles to inks; geometry is finished here.
 */
export type Point = readonly [x: number, y: number];

/** What an area is filled with. */
export type Fill =
  | 'none'
  | 'paper'
  | 'metal'
  | 'component'
  | 'section'
  | 'copper'
  | 'ring'
  | 'liner'
  | 'braid'
  | 'rubber'
  | 'accent'
  | 'ink'
  | 'clash'
  | 'throat';

/** What a line means. */
export type Stroke = 'none' | 'outline' | 'fine' | 'thread' | 'centre' | 'hidden' | 'dimension' | 'leader' | 'seal' | 'frame' | 'grid';

export interface AreaShape {
  readonly kind: 'area';
  readonly points: readonly Point[];
  readonly fill: Fill;
  readonly stroke: Stroke;
  /** Angle of the section hatching in degrees; each part has its own. */
  readonly hatch?: number;
}
export interface LineShape {
  readonly kind: 'line';
  readonly points: readonly Point[];
  readonly stroke: Stroke;
  /** Number of the joint this line seals, where it is a seal. */
  readonly joint?: number;
}
export interface DotShape {
  readonly kind: 'dot';
  readonly at: Point;
  readonly radius: number;
  readonly fill: Fill;
  readonly joint?: number;
}
export interface TextShape {
  readonly kind: 'text';
  readonly at: Point;
  readonly text: string;
  readonly size: number;
  readonly anchor: 'start' | 'middle' | 'end';
  readonly role: 'title' | 'text' | 'quiet' | 'dimension' | 'figure' | 'attention' | 'leak';
}
export interface BalloonShape {
  readonly kind: 'balloon';
  readonly at: Point;
  readonly target: Point;
  readonly number: number;
  /** State of its joint: nothing added, something must be there, does not seal, made up. */
  /** `held`: it seals, and something speaks against it. */
  readonly tone: 'sealed' | 'needs' | 'leaks' | 'made' | 'held';
}

export type Shape = AreaShape | LineShape | DotShape | TextShape | BalloonShape;

/** A finished drawing with the sheet it lies on. */
export interface Drawing {
  readonly width: number;
  readonly height: number;
  readonly shapes: readonly Shape[];
  /** What is drawn, in words, for those who cannot see it. */
  readonly title: string;
}

/** Smallest box round all points of the shapes: left, top, right, bottom. */
export function boundsOf(shapes: readonly Shape[]): { left: number; top: number; right: number; bottom: number } {
  const box = { left: Infinity, top: Infinity, right: -Infinity, bottom: -Infinity };
  const take = ([x, y]: Point, r = 0): void => {
    box.left = Math.min(box.left, x - r);
    box.right = Math.max(box.right, x + r);
    box.top = Math.min(box.top, y - r);
    box.bottom = Math.max(box.bottom, y + r);
  };
  for (const shape of shapes) {
    if (shape.kind === 'area' || shape.kind === 'line') for (const point of shape.points) take(point);
    else take(shape.at, shape.kind === 'dot' ? shape.radius : 0);
  }
  return box;
}

/** The shapes scaled by `scale` and then shifted; text and balloons keep their size. */
export function placeShapes(shapes: readonly Shape[], scale: number, dx: number, dy: number): Shape[] {
  const at = ([x, y]: Point): Point => [x * scale + dx, y * scale + dy];
  return shapes.map((shape): Shape => {
    switch (shape.kind) {
      case 'area':
      case 'line':
        return { ...shape, points: shape.points.map(at) };
      case 'dot':
        return { ...shape, at: at(shape.at), radius: shape.radius * scale };
      case 'text':
        return { ...shape, at: at(shape.at) };
      case 'balloon':
        return { ...shape, at: at(shape.at), target: at(shape.target) };
    }
  });
}
