import { Dialog } from 'radix-ui';
import { useEffect, useRef } from 'react';
import { Button } from '../../ui/Button';
import { Modal } from '../../ui/Modal';

const STEPS = 16;
const SIZE = 160;
/** What a fine pattern of black and white looks like from afar: half the light. Source: IEC 61966-2-1, the curve of sRGB. */
const HALF_LIGHT = 188;

/** A look at one's own screen: grey steps, and whether middle greys are as bright as they should be. */
export default function ScreenCheck({ onClose }: { readonly onClose: () => void }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    const context = canvas.current?.getContext('2d');
    if (!context) return;
    const picture = context.createImageData(SIZE, SIZE);
    for (let y = 0; y < SIZE; y++)
      for (let x = 0; x < SIZE; x++) {
        const isInside = x > SIZE / 4 && x < (3 * SIZE) / 4 && y > SIZE / 4 && y < (3 * SIZE) / 4;
        const value = isInside ? HALF_LIGHT : y % 2 === 0 ? 255 : 0;
        picture.data.set([value, value, value, 255], 4 * (y * SIZE + x));
      }
    context.putImageData(picture, 0, 0);
  }, []);
  return (
    <Modal lies="middle" className="w-[min(34rem,94vw)]" onClose={onClose}>
      <Dialog.Title className="heading text-title">Your screen</Dialog.Title>
      <div className="mt-3 space-y-3">
        <p>
          Screens differ, and what is practised here is as true as yours is. Turn off night colours and
          automatic brightness, sit so that no lamp shines on it, and let it run for some minutes.
        </p>
        <h3 className="heading">Grey steps</h3>
        <div role="img" aria-label={`${STEPS} greys from black to white`} className="flex">
          {Array.from({ length: STEPS }, (_, i) => {
            const value = Math.round((255 * i) / (STEPS - 1));
            return (
              <span
                key={value}
                className="h-14 flex-1"
                style={{ backgroundColor: `rgb(${value} ${value} ${value})` }}
              />
            );
          })}
        </div>
        <p>
          All {STEPS} have to be told from their neighbours, the two darkest and the two palest as well. Where
          they run together, turn brightness or contrast until they do not.
        </p>
        <h3 className="heading">Middle grey</h3>
        <canvas
          ref={canvas}
          width={SIZE}
          height={SIZE}
          role="img"
          aria-label="A plain grey square in a pattern of black and white lines"
          style={{ width: SIZE / devicePixelRatio, height: SIZE / devicePixelRatio }}
        />
        <p>
          From two metres, or through half-closed eyes, the square in the middle should vanish in the lines
          around it. If it is paler or darker, your screen shows middle tones too pale or too dark, and
          differences of lightness with them.
        </p>
        <p className="text-mute">
          What lies around the swatches is a neutral grey, as ISO 3664 asks where colours are judged.
        </p>
        <Button onClick={onClose}>Back</Button>
      </div>
    </Modal>
  );
}
