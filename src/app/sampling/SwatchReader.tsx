import { Dialog } from 'radix-ui';
import { useState } from 'react';
import type { Box } from '../../core/choose/photo/pixels';
import { readSwatch, readWhite, type SwatchReading } from '../../core/choose/photo/reading';
import type { LinearRgb } from '../../core/materials/colour/lab';
import type { Ink } from '../../core/materials/ink/ink';
import type { NamedReading } from '../../core/materials/ink/newInks';
import { DEMO_INKS } from '../../data/demo/inks';
import { Button } from '../../ui/Button';
import { Modal } from '../../ui/Modal';
import { PASTED_PICTURE, usePastedPicture } from '../usePaste';
import { BoxedPicture } from './BoxedPicture';
import { ReadingRow } from './ReadingRow';
import { usePicture } from './usePicture';

interface Props {
  /** One colour for an ink that is being written down, or many new inks at once. */
  readonly purpose: 'one' | 'many';
  readonly onUse: (readings: readonly NamedReading[]) => void;
  readonly onClose: () => void;
}

/** The sample sheet shows the first of the demo's inks. */
const SAMPLED: readonly Ink[] = DEMO_INKS.slice(0, 18);

/** Reads swatches off a photograph: first the bare card, then each swatch, clicked or boxed. */
export default function SwatchReader({ purpose, onUse, onClose }: Props) {
  const picture = usePicture();
  const [white, setWhite] = useState<{ rgb: LinearRgb; box: Box }>();
  const [readings, setReadings] = useState<readonly (SwatchReading & { name: string })[]>([]);
  const [problem, setProblem] = useState<string>();
  const { pixels } = picture;

  const begin = (label: string, ask: Parameters<typeof picture.open>[1]) => {
    setWhite(undefined);
    setReadings([]);
    setProblem(undefined);
    picture.open(label, ask);
  };
  usePastedPicture((file) => begin(PASTED_PICTURE, (reader) => reader.open(file)));
  const take = (box: Box) => {
    if (!pixels) return;
    if (!white) {
      const read = readWhite(pixels, box);
      if ('problem' in read) return setProblem(read.problem);
      setProblem(undefined);
      return setWhite({ rgb: read.white, box });
    }
    const reading = { ...readSwatch(pixels, box, white.rgb), name: `Swatch ${readings.length + 1}` };
    setReadings((all) => (purpose === 'one' ? [reading] : [...all, reading]));
  };
  const rename = (at: number, name: string) =>
    setReadings((all) => all.map((one, i) => (i === at ? { ...one, name } : one)));
  const usable = readings.length > 0 && readings.every(({ name }) => name.trim() !== '');
  return (
    <Modal lies="page" className="flex flex-col gap-3" described onClose={onClose}>
      <div className="flex flex-wrap items-center gap-3">
        <Dialog.Title className="heading mr-auto text-lg">Read swatches off a picture</Dialog.Title>
        <label className="frame inline-flex min-h-7 cursor-pointer items-center bg-strong px-2.5 text-on-strong focus-within:outline-2 focus-within:outline-offset-2 focus-within:outline-text">
          Open a picture
          <input
            type="file"
            accept="image/png,image/jpeg,image/webp"
            className="sr-only"
            onChange={({ target }) => {
              const file = target.files?.[0];
              if (file) begin(file.name, (reader) => reader.open(file));
            }}
          />
        </label>
        <Button onClick={() => begin('Sample sheet', (reader) => reader.swatchSheet(SAMPLED))}>
          Try the sample sheet
        </Button>
      </div>
      <Dialog.Description className="text-mute">
        Photograph the dried swatches on white card in even light, without flash; open the picture or paste
        it. First click the bare card, then click each swatch or drag a box over it.
      </Dialog.Description>
      {picture.reading && (
        <p role="status" className="flex items-center gap-3">
          Reading the picture … <progress aria-label="Reading the picture" className="w-40" />
          <Button onClick={picture.cancel}>Cancel</Button>
        </p>
      )}
      {(problem ?? picture.problem) && (
        <p role="alert" className="border-l-4 border-text pl-3">
          {problem ?? picture.problem}
        </p>
      )}
      {pixels && (
        <div className="grid min-h-0 flex-1 gap-4 lg:grid-cols-[minmax(0,1fr)_20rem]">
          <div className="min-h-0 overflow-auto">
            <p role="status" className="mb-1 font-semibold">
              {white ? 'Now each swatch.' : 'Click the bare white card.'}
            </p>
            <BoxedPicture
              pixels={pixels}
              label={picture.label}
              white={white?.box}
              boxes={readings.map(({ box }) => box)}
              onBox={take}
            />
          </div>
          <div className="min-h-0 space-y-2 overflow-auto">
            {white && <Button onClick={() => setWhite(undefined)}>Choose another white reference</Button>}
            <ol className="space-y-2">
              {readings.map((reading, i) => (
                <ReadingRow
                  key={`${reading.box.x0} ${reading.box.y0} ${reading.box.x1} ${reading.box.y1}`}
                  reading={reading}
                  named={purpose === 'many'}
                  onName={(name) => rename(i, name)}
                  onRemove={() => setReadings((all) => all.filter((_, at) => at !== i))}
                />
              ))}
            </ol>
          </div>
        </div>
      )}
      <div className="mt-auto flex justify-end gap-2">
        <Dialog.Close asChild>
          <Button>Cancel</Button>
        </Dialog.Close>
        <Button look="strong" disabled={!usable} onClick={() => onUse(readings)}>
          {purpose === 'one'
            ? 'Use this colour'
            : `Add ${readings.length} ${readings.length === 1 ? 'ink' : 'inks'}`}
        </Button>
      </div>
    </Modal>
  );
}
