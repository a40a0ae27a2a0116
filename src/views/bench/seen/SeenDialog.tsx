import { Dialog } from 'radix-ui';
import { useCallback, useState } from 'react';
import { useAnswer } from '../../../app/useAnswer';
import type { Edit } from '../../../app/useBench';
import type { Unit } from '../../../core/base/length';
import { designOf } from '../../../core/engine/layers';
import type { Ink } from '../../../core/materials/ink/ink';
import { NEEDS, type Need } from '../../../core/readings/legibility/contrast';
import { bestImage, calmestPlace, type ImageInk } from '../../../core/readings/legibility/legibility';
import { hasImage } from '../../../core/readings/passReadings';
import { passName } from '../../../core/recipe/passes/passes';
import { passesInOrder } from '../../../core/recipe/passesInOrder';
import type { Kit } from '../../../core/recipe/recipe';
import { useAppSelector } from '../../../store/hooks';
import { Button } from '../../../ui/Button';
import { Modal } from '../../../ui/Modal';
import { Segmented } from '../../../ui/Segmented';
import { shelfWorker } from '../../../workers/client';
import { DesignSeen } from './DesignSeen';
import { GreetingSize } from './GreetingSize';
import { ImageList } from './ImageList';
import { SeenPanel } from './SeenPanel';
import { TopCoats } from './TopCoats';

interface Props {
  readonly kit: Kit;
  readonly shelf: readonly Ink[];
  readonly edit: Edit;
  readonly onClose: () => void;
}

/** Whether a silhouette, a greeting or a resist will be seen on the panel: where, in what, and how clearly. */
export default function SeenDialog({ kit, shelf, edit, onClose }: Props) {
  const unit = useAppSelector(({ view }) => view.unit);
  const designed = passesInOrder(kit.recipe).filter((pass) => designOf(kit, pass) && hasImage(pass));
  const [passId, setPassId] = useState<string>();
  const pass = designed.find(({ id }) => id === passId);
  const [need, setNeed] = useState<Need>('lettering');
  const needed = NEEDS[need];
  return (
    <Modal lies="page" described onClose={onClose}>
      <header className="flex flex-wrap items-center gap-3">
        <Dialog.Title className="heading mr-auto text-lg">Will it be seen?</Dialog.Title>
        {designed.length > 0 && (
          <select
            aria-label="What is looked at"
            value={pass?.id ?? ''}
            onChange={({ target }) => {
              setPassId(target.value);
              setNeed(target.value === '' ? 'lettering' : 'bold shape');
            }}
            className="frame min-h-7 max-w-full px-1 py-0.5"
          >
            <option value="">an image over the panel</option>
            {designed.map((one) => (
              <option key={one.id} value={one.id}>
                {passName(kit.recipe.passes, one)}: {designOf(kit, one)?.name}
              </option>
            ))}
          </select>
        )}
        <Segmented<Need>
          label="What is to be read"
          value={need}
          onChange={setNeed}
          options={[
            { value: 'lettering', label: 'Lettering, 4.5 : 1' },
            { value: 'bold shape', label: 'Bold shapes, 3 : 1' },
          ]}
        />
        <Dialog.Close asChild>
          <Button>Close</Button>
        </Dialog.Close>
      </header>
      <Dialog.Description className="mb-3 text-mute">
        {pass
          ? 'Contrast of the design with what lies beside it, on the dried panel. Hatched is where it falls short; the ring is its worst place.'
          : 'Contrast over the dried panel. Hatched is where it falls short; the frame is the calmest place for the greeting.'}
      </Dialog.Description>
      {pass ? (
        <DesignSeen {...{ kit, pass, shelf, needed, unit, edit }} />
      ) : (
        <ImageSeen {...{ kit, shelf, needed, unit, edit }} />
      )}
    </Modal>
  );
}

interface ImageProps extends Pick<Props, 'kit' | 'shelf' | 'edit'> {
  readonly needed: number;
  readonly unit: Unit;
}

/** What an image or a greeting over the panel would read in, and where. */
function ImageSeen({ kit, shelf, needed, unit, edit }: ImageProps) {
  const [impressions, setImpressions] = useState(1);
  const [chosen, setChosen] = useState<ImageInk['id']>();
  const [size, setSize] = useState({
    width: Math.round(kit.recipe.panel.width * 0.5),
    height: Math.round(kit.recipe.panel.height * 0.11),
  });
  const seen = useAnswer(
    useCallback(() => shelfWorker().imagesSeen(kit, shelf, impressions), [kit, shelf, impressions]),
  );
  if (!seen)
    return (
      <p role="status" className="text-mute">
        Reading the panel …
      </p>
    );
  const { field, images } = seen;
  const best = bestImage(images, needed);
  const shown = images.find(({ image }) => image.id === (chosen ?? best?.id)) ?? images[0];
  if (!shown) return null;
  const place = calmestPlace(field, shown.legibility, size, needed);
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-6 lg:grid-cols-[auto_minmax(0,1fr)]">
      <SeenPanel {...{ kit, field, place, needed }} shown={shown} />
      <div className="space-y-5">
        <ImageList
          images={images}
          needed={needed}
          shown={shown.image.id}
          best={best?.id}
          impressions={impressions}
          onChoose={setChosen}
          onImpressions={setImpressions}
        />
        <GreetingSize {...{ size, unit, place, needed }} panel={kit.recipe.panel} onSize={setSize} />
        <TopCoats
          {...{ kit, shelf, edit }}
          resist={passesInOrder(kit.recipe).findLast(({ kind }) => kind === 'clearResist')}
        />
      </div>
    </div>
  );
}
