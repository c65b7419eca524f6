/** Every drawing is made of these; they know nothing of the job. */
export { Chart, Drawing, type Reading } from './Chart';
export { EndNames, XAxis, YAxis, type Tick } from './axes';
export { across, downwards, upwards, type Frame } from './frame';
export { dashes, diamond, inks, letters } from './inks';
export { useFit, widthFor, type Fit } from './useFit';
export { Legend } from './Legend';
export { Band, Bars, Line, Shape, Upright, type Spot } from './marks';
export { RowBar } from './RowBar';
export { PictureButtons } from './PictureButtons';
export {
  amountScale,
  dayScale,
  growingScale,
  positionScale,
  positionTicks,
  radiusScale,
  spreadOut,
  timeOf,
  worstPosition,
  type Scale,
} from './scales';
