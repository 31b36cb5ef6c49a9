export type { Drawing, Shape, Point, Fill, Stroke, AreaShape, LineShape, TextShape, BalloonShape, DotShape } from './shape.js';
export { boundsOf } from './shape.js';
export { drawingToSvg } from './svg.js';
export { runSheet, type RunSheetOptions } from './run-sheet.js';
export { wayStrip, fittingDrawing, hoseDrawing, hoseEndDrawing, portDrawing } from './small-drawings.js';
export { componentDrawing } from './component-drawing.js';
export { threadDrawing } from './thread-drawing.js';
export { threadPairDrawing, inWords } from './thread-pair-drawing.js';
export { jointDrawing } from './joint-drawing.js';
