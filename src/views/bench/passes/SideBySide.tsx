import { Dialog } from 'radix-ui';
import { useMemo, useRef } from 'react';
import { PanelPicture } from '../../../app/panel/PanelPicture';
import { useSize } from '../../../app/useSize';
import { enablePass } from '../../../core/recipe/editPasses';
import { PASS_KINDS } from '../../../core/recipe/passes/passes';
import type { ResolvedRecipe } from '../../../core/recipe/resolved';
import { Button } from '../../../ui/Button';
import { Modal } from '../../../ui/Modal';

interface Props {
  readonly resolved: ResolvedRecipe;
  readonly passId: string;
  readonly onClose: () => void;
}

const HEIGHT = 460;
const GAP = 24;

/** The same panel with a pass and without it, dried, at one size. */
export function SideBySide({ resolved, passId, onClose }: Props) {
  const pass = resolved.recipe.passes.find(({ id }) => id === passId);
  const label = pass ? PASS_KINDS[pass.kind].label.toLowerCase() : '';
  return (
    <Modal lies="middle" className="w-[min(52rem,94vw)]" onClose={onClose}>
      <header className="mb-3 flex items-center gap-3">
        <Dialog.Title className="heading mr-auto text-lg">With and without the {label}</Dialog.Title>
        <Dialog.Close asChild>
          <Button>Close</Button>
        </Dialog.Close>
      </header>
      <Pair resolved={resolved} passId={passId} label={label} />
    </Modal>
  );
}

type PairProps = Pick<Props, 'resolved' | 'passId'> & { readonly label: string };

function Pair({ resolved, passId, label }: PairProps) {
  const { panel } = resolved.recipe;
  const box = useRef<HTMLDivElement>(null);
  const room = useSize(box);
  const without = useMemo(
    () => ({ ...resolved, recipe: enablePass(resolved.recipe, passId, false) }),
    [resolved, passId],
  );
  const width = Math.round(
    Math.min((HEIGHT * panel.width) / panel.height, Math.max((room.width - GAP) / 2, 0)),
  );
  const height = Math.round((width * panel.height) / panel.width);
  return (
    <div ref={box} className="flex justify-center" style={{ gap: GAP }}>
      {[
        { description: `With the ${label}`, shown: resolved },
        { description: 'Without', shown: without },
      ].map(({ description, shown }) => (
        <figure key={description} style={{ width }}>
          {width > 0 && (
            <PanelPicture
              resolved={shown}
              wetness="dry"
              width={width}
              height={height}
              label={`${description}, dried`}
            />
          )}
          <figcaption className="mt-1 font-semibold">{description}</figcaption>
        </figure>
      ))}
    </div>
  );
}
