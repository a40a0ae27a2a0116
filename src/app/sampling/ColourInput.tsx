import { Pipette } from 'lucide-react';
import { lazy, type ReactNode, Suspense, useState } from 'react';
import { type Hex, labOfHex } from '../../core/materials/colour/hex';
import { plainColour } from '../../core/materials/colour/plainWords';
import { Button } from '../../ui/Button';

const SwatchReader = lazy(() => import('./SwatchReader'));

/** What is said where a typed colour is none. */
export const COLOUR_HELP = 'Type # and six digits, or a reading of L*, a* and b* such as 54.2 -28 -8.';

interface Props {
  readonly colour: Hex | undefined;
  /** Takes a colour that was read off a picture. */
  readonly onRead: (colour: Hex) => void;
  readonly children: ReactNode;
}

/** A typed colour with its swatch and name, and the way to read it off a picture. */
export function ColourInput({ colour, onRead, children }: Props) {
  const [reading, setReading] = useState(false);
  return (
    <>
      <div className="flex gap-2">
        <span
          aria-hidden="true"
          className="w-12 shrink-0 border border-line"
          style={colour ? { backgroundColor: colour } : undefined}
        />
        {children}
        <Button
          aria-label="Read it off a picture"
          title="Read it off a picture"
          onClick={() => setReading(true)}
        >
          <Pipette size={15} aria-hidden="true" />
        </Button>
      </div>
      {colour && <p className="colour-name mt-0.5">{plainColour(labOfHex(colour))}</p>}
      {reading && (
        <Suspense fallback={null}>
          <SwatchReader
            purpose="one"
            onClose={() => setReading(false)}
            onUse={([one]) => {
              if (one) onRead(one.hex);
              setReading(false);
            }}
          />
        </Suspense>
      )}
    </>
  );
}
