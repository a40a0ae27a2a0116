import { useEffect, useRef } from 'react';
import { RecipeThumb } from '../../app/panel/RecipeThumb';
import { useRaise } from '../../app/useRaise';
import type { Face } from '../../core/practice/exercises/definition';
import { practiceWorker } from '../../workers/client';

interface Props {
  readonly face: Face;
  readonly label: string;
  readonly size?: 'small' | 'large';
}

/** Room for a picture, px, and how large a swatch is. */
const ROOM = { small: { width: 130, height: 165 }, large: { width: 260, height: 330 } } as const;
const SWATCH = { small: 'size-24 max-sm:size-20', large: 'size-44 max-sm:size-32' } as const;

/** Something to look at: a swatch, a panel, a fault, a greeting. */
export function FaceView({ face, label, size = 'large' }: Props) {
  if (face.kind === 'swatch')
    return (
      <span
        role="img"
        aria-label={label}
        className={`block ${SWATCH[size]}`}
        style={{ backgroundColor: face.hex }}
      />
    );
  if (face.kind === 'panel')
    return <RecipeThumb resolved={face.resolved} within={ROOM[size]} label={label} />;
  if (face.kind === 'fault') return <FaultView face={face} label={label} size={size} />;
  return (
    <span
      role="img"
      aria-label={label}
      className="flex h-32 w-80 max-w-full items-center justify-center"
      style={{ backgroundColor: face.ground, color: face.ink }}
    >
      <span aria-hidden="true" className="font-name text-4xl italic">
        with love
      </span>
    </span>
  );
}

/** A panel with a fault, painted by the worker. */
function FaultView({
  face,
  label,
  size = 'large',
}: Props & { readonly face: Extract<Face, { kind: 'fault' }> }) {
  const raise = useRaise();
  const canvas = useRef<HTMLCanvasElement>(null);
  const { panel } = face.resolved.recipe;
  const { height } = ROOM[size];
  const width = Math.round((height * panel.width) / panel.height);
  const ratio = Math.min(window.devicePixelRatio || 1, 2);
  const [columns, rows] = [Math.round(width * ratio), Math.round(height * ratio)];
  useEffect(() => {
    let wanted = true;
    practiceWorker()
      .faultPicture(face.trouble, face.resolved, columns, rows)
      .then(({ pixels }) => {
        if (wanted)
          canvas.current
            ?.getContext('2d')
            ?.putImageData(new ImageData(new Uint8ClampedArray(pixels), columns, rows), 0, 0);
      })
      .catch((error: unknown) => wanted && raise(error));
    return () => {
      wanted = false;
    };
  }, [face, columns, rows, raise]);
  return (
    <canvas
      ref={canvas}
      role="img"
      aria-label={label}
      width={columns}
      height={rows}
      style={{ width, height }}
      className="block shadow-[0_1px_3px_#0006]"
    />
  );
}
