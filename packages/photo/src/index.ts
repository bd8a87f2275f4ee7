/** The whole public face of the camera: what a photo tells of blocks. Everything outside imports from here. */
export { type Camera, cameraOf } from './camera/camera.ts';
export { type PhotoAsked, type PhotoRefused } from './reference/asked.ts';
export { UNSETTLED } from './verdict/doubts.ts';
export { measurePhoto, type PhotoMeasured } from './measure.ts';
export { type LayoutAsked, readLayout, type ReadLayout, type ReadPlace } from './layout/read-layout.ts';
export { type Raster } from './picture/raster.ts';
export { fromTopLeft, type Reference, SHEETS } from './reference/reference.ts';
export { inRow, offSquareBy, type SixLengths, sixLengths } from './block/six-lengths.ts';
export { colourAt, straightened } from './camera/straighten.ts';
export { paperIn, swatchOf } from './cloth/swatch.ts';
export { DOUBT_WORDS, KIND_WORDS, photoKindOf, REFUSED_WORDS } from './verdict/words.ts';
