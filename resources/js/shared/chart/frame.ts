/** Size of a drawing and the room around what is drawn, in its own units. */
export interface Frame {
  width: number;
  height: number;
  left: number;
  right: number;
  top: number;
  bottom: number;
}

export const across = (frame: Frame): [number, number] => [frame.left, frame.width - frame.right];

/** Upwards: the least lies below. */
export const upwards = (frame: Frame): [number, number] => [frame.height - frame.bottom, frame.top];

export const downwards = (frame: Frame): [number, number] => [frame.top, frame.height - frame.bottom];
