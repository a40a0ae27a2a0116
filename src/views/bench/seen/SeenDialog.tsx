import { Dialog } from 'radix-ui';
import { useCallback, useState } from 'react';
import { useAnswer } from '../../../app/useAnswer';
import type { Edit } from '../../../app/useBench';
import type { Unit } from '../../../core/base/length';
import type { Ink } from '../../../core/materials/ink/ink';
import { NEEDS, type Need } from '../../../core/readings/legibility/contrast';
import { bestImage, calmestPlace, type ImageInk } from '../../../core/readings/legibility/legibility';
import { standsOut } from '../../../core/readings/passReadings';
import { PASS_KINDS, passName } from '../../../core/recipe/passes/passes';
import { passesInOrder } from '../../../core/recipe/recipe';
import { designOf, type ResolvedRecipe } from '../../../core/recipe/resolved';
import { useAppSelector } from '../../../store/hooks';
import { Button } from '../../../ui/Button';
import { Modal } from '../../../ui/Modal';
import { Segmented } from '../../../ui/Segmented';
import { Select } from '../../../ui/Select';
import { shelfWorker } from '../../../workers/client';
import { DesignSeen } from './DesignSeen';
import { GreetingSize } from './GreetingSize';
import { ImageList } from './ImageList';
import { SeenPanel } from './SeenPanel';
import { TopCoats } from './TopCoats';

interface Props {
  readonly resolved: ResolvedRecipe;
  readonly shelf: readonly Ink[];
  readonly edit: Edit;
  readonly onClose: () => void;
}

/** Whether a silhouette, a greeting or a resist will be seen on the panel: where, in what, and how clearly. */
export default function SeenDialog({ resolved, shelf, edit, onClose }: Props) {
  const unit = useAppSelector(({ view }) => view.unit);
  const designed = passesInOrder(resolved.recipe).filter(
    (pass) => designOf(resolved, pass) && standsOut(pass),
  );
  const [passId, setPassId] = useState<string>();
  const pass = designed.find(({ id }) => id === passId);
  const [need, setNeed] = useState<Need>('lettering');
  const needed = NEEDS[need];
  return (
    <Modal lies="page" described onClose={onClose}>
      <header className="flex flex-wrap items-center gap-3">
        <Dialog.Title className="heading mr-auto text-lg">Will it be seen?</Dialog.Title>
        {designed.length > 0 && (
          <Select
            label="What is looked at"
            value={pass?.id ?? ''}
            options={[
              { value: '', label: 'an image over the panel' },
              ...designed.map((one) => ({
                value: one.id,
                label: `${passName(resolved.recipe.passes, one)}: ${designOf(resolved, one)?.name}`,
              })),
            ]}
            onChange={(next) => {
              setPassId(next);
              setNeed(next === '' ? 'lettering' : 'bold shape');
            }}
          />
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
        <DesignSeen {...{ resolved, pass, shelf, needed, unit, edit }} />
      ) : (
        <ImageSeen {...{ resolved, shelf, needed, unit, edit }} />
      )}
    </Modal>
  );
}

interface ImageProps extends Pick<Props, 'resolved' | 'shelf' | 'edit'> {
  readonly needed: number;
  readonly unit: Unit;
}

/** What an image or a greeting over the panel would read in, and where. */
function ImageSeen({ resolved, shelf, needed, unit, edit }: ImageProps) {
  const [impressions, setImpressions] = useState(1);
  const [chosen, setChosen] = useState<ImageInk['id']>();
  const [size, setSize] = useState({
    width: Math.round(resolved.recipe.panel.width * 0.5),
    height: Math.round(resolved.recipe.panel.height * 0.11),
  });
  const seen = useAnswer(
    useCallback(() => shelfWorker().imagesSeen(resolved, shelf, impressions), [resolved, shelf, impressions]),
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
      <SeenPanel {...{ resolved, field, place, needed }} shown={shown} />
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
        <GreetingSize {...{ size, unit, place, needed }} panel={resolved.recipe.panel} onSize={setSize} />
        <TopCoats
          {...{ resolved, shelf, edit }}
          resist={passesInOrder(resolved.recipe).findLast(({ kind }) => PASS_KINDS[kind].keepsGround)}
        />
      </div>
    </div>
  );
}
