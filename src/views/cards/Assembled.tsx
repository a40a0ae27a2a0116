import type { ReactNode } from 'react';
import { PanelPicture } from '../../app/panel/PanelPicture';
import { formatBare, formatLength } from '../../core/base/length';
import { type Assembly, type Layer, layersOf } from '../../core/make/cutting/pieces';
import type { Card } from '../../core/materials/card/card';
import type { ResolvedRecipe } from '../../core/recipe/resolved';
import { useAppSelector } from '../../store/hooks';

type Size = Pick<Layer, 'width' | 'height'>;

interface Props {
  readonly resolved: ResolvedRecipe;
  readonly choices: Pick<Assembly, 'mats' | 'base'>;
  readonly cards: readonly Card[];
}

/** The longer side of the whole card, px. */
const LONGER = 230;

/** The card put together, seen from the front: the panel on its mats on the base. */
export function Assembled({ resolved, choices, cards }: Props) {
  const unit = useAppSelector(({ view }) => view.unit);
  const { panel } = resolved.recipe;
  const layers = layersOf({ panel, ...choices });
  const outermost: Size = layers.at(-1) ?? panel;
  const scale = LONGER / Math.max(outermost.width, outermost.height);
  const px = (mm: number) => Math.round(mm * scale);
  const cardOf = (cardId: string) => cards.find(({ id }) => id === cardId);
  const sizeOf = ({ width, height }: Size) => `${formatBare(width, unit)} × ${formatLength(height, unit)}`;
  return (
    <figure aria-label="The card put together" className="flex flex-wrap items-end gap-4">
      <div
        className="relative shadow-[0_1px_3px_#0006,0_8px_18px_-8px_#0006]"
        style={{ width: px(outermost.width), height: px(outermost.height) }}
      >
        {layers.toReversed().map(({ name, cardId, width, height }) => (
          <Centred key={name} {...{ width, height, outermost, px }} colour={cardOf(cardId)?.colour} />
        ))}
        <Centred {...panel} outermost={outermost} px={px}>
          <PanelPicture
            resolved={resolved}
            wetness="dry"
            width={px(panel.width)}
            height={px(panel.height)}
            label={`Panel of ${resolved.recipe.name}, on its mats`}
          />
        </Centred>
      </div>
      <figcaption>
        <ul>
          <li>
            panel, {resolved.card.name}: {sizeOf(panel)}
          </li>
          {layers.map(({ name, cardId, folds, ...size }) => (
            <li key={name}>
              {name}, {cardOf(cardId)?.name ?? 'a card no longer in the drawer'}: {sizeOf(size)}
              {folds && `, folded at the ${folds}`}
            </li>
          ))}
        </ul>
      </figcaption>
    </figure>
  );
}

interface CentredProps extends Size {
  readonly outermost: Size;
  readonly px: (mm: number) => number;
  readonly colour?: string | undefined;
  readonly children?: ReactNode;
}

/** A layer in the middle of the card; a fine shade tells it from one of its own colour. */
const Centred = ({ width, height, outermost, px, colour, children }: CentredProps) => (
  <div
    className="absolute overflow-hidden outline-1 -outline-offset-1 outline-black/15"
    style={{
      left: px((outermost.width - width) / 2),
      top: px((outermost.height - height) / 2),
      width: px(width),
      height: px(height),
      ...(colour === undefined ? {} : { backgroundColor: colour }),
    }}
  >
    {children}
  </div>
);
