import { useLayoutEffect, useRef } from 'react';
import type { Pixels } from '../../core/choose/photo/pixels';

interface Props {
  readonly pixels: Pixels;
  readonly label: string;
}

/** Pixels as they are, as wide as there is room. */
export function PictureCanvas({ pixels, label }: Props) {
  const canvas = useRef<HTMLCanvasElement>(null);
  useLayoutEffect(() => {
    const target = canvas.current;
    if (!target) return;
    target.width = pixels.width;
    target.height = pixels.height;
    const data = new Uint8ClampedArray(pixels.data);
    target.getContext('2d')?.putImageData(new ImageData(data, pixels.width, pixels.height), 0, 0);
  }, [pixels]);
  return <canvas ref={canvas} role="img" aria-label={label} className="block h-auto w-full" />;
}
