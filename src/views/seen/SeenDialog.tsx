import { Dialog } from 'radix-ui';
import { useMemo, useState } from 'react';
import type { Ink } from '../../core/ink/ink';
import type { Kit } from '../../core/ladder/recipe';
import { NEEDS, type Need } from '../../core/legibility/contrast';
import {
  bestImage,
  calmestPlace,
  type ImageInk,
  imageInks,
  legibilityOf,
} from '../../core/legibility/legibility';
import { panelField } from '../../core/legibility/panelField';
import { useAppSelector } from '../../store/hooks';
import { Button } from '../../ui/Button';
import { Modal } from '../../ui/Modal';
import { Segmented } from '../../ui/Segmented';
import { GreetingSize } from './GreetingSize';
import { ImageList } from './ImageList';
import { SeenPanel } from './SeenPanel';
import { TopCoats } from './TopCoats';

interface Props {
  readonly kit: Kit;
  readonly shelf: readonly Ink[];
  readonly onClose: () => void;
}

/** Whether a silhouette, a greeting or a resist will be seen on the panel: where, in what, and how clearly. */
export default function SeenDialog({ kit, shelf, onClose }: Props) {
  const unit = useAppSelector(({ view }) => view.unit);
  const [need, setNeed] = useState<Need>('lettering');
  const [impressions, setImpressions] = useState(1);
  const [chosen, setChosen] = useState<ImageInk['id']>();
  const [size, setSize] = useState({
    width: Math.round(kit.recipe.panel.width * 0.5),
    height: Math.round(kit.recipe.panel.height * 0.11),
  });
  const field = useMemo(() => panelField(kit), [kit]);
  const images = useMemo(
    () =>
      imageInks(kit, shelf, impressions).map((image) => ({ image, legibility: legibilityOf(field, image) })),
    [kit, shelf, impressions, field],
  );
  const needed = NEEDS[need];
  const best = bestImage(images, needed);
  const shown = images.find(({ image }) => image.id === (chosen ?? best?.id)) ?? images[0];
  if (!shown) return null;
  const place = calmestPlace(field, shown.legibility, size, needed);
  return (
    <Modal lies="page" described onClose={onClose}>
      <header className="flex flex-wrap items-center gap-3">
        <Dialog.Title className="heading mr-auto text-lg">Will it be seen?</Dialog.Title>
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
        Contrast over the dried panel. Hatched is where it falls short; the frame is the calmest place for the
        greeting.
      </Dialog.Description>
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
          <TopCoats kit={kit} shelf={shelf} />
        </div>
      </div>
    </Modal>
  );
}
