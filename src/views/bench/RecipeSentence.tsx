import { Fragment, memo, type ReactNode } from 'react';
import { ParamFields } from '../../app/ParamFields';
import { RecipeThumb } from '../../app/panel/RecipeThumb';
import { orderedBy, readingsHere } from '../../app/readingsHere';
import type { Shelf } from '../../app/session';
import type { Edit } from '../../app/useBench';
import type { Unit } from '../../core/base/length';
import { endsDry } from '../../core/engine/drying';
import {
  copyRun,
  copyShares,
  reverse,
  setPanel,
  setRun,
  setRunParams,
  shareEqually,
} from '../../core/recipe/editLadder';
import { PANEL_LIMITS, PANEL_SIZES, type Panel, samePanel } from '../../core/recipe/panel';
import { type Recipe, RUNG_LIMITS } from '../../core/recipe/recipe';
import type { ResolvedRecipe } from '../../core/recipe/resolved';
import { RUN_IDS, RUNS, type RunId } from '../../core/recipe/runs/runs';
import { recipeSentence, type SentencePart } from '../../core/recipe/sentence';
import { TOOL_IDS, TOOLS, type ToolId } from '../../core/recipe/tools/tools';
import { useAppDispatch, useAppSelector } from '../../store/hooks';
import { viewSet } from '../../store/view';
import { Button } from '../../ui/Button';
import { Choices } from '../../ui/Choices';
import { LengthField } from '../../ui/LengthField';
import { Select } from '../../ui/Select';
import { Word } from '../../ui/Word';
import { type Look, ZOOMS } from './look';
import { useOtherRecipe } from './useOtherRecipe';

interface Props {
  readonly resolved: ResolvedRecipe;
  readonly shelf: Shelf;
  readonly edit: Edit;
  readonly look: Look;
  readonly onLook: (change: Partial<Look>) => void;
  /** The next ink pressed on the rail goes on a rung of its own. */
  readonly onAddRung: () => void;
}

/** Room for a small picture among choices, px. */
const THUMB = { width: 92, height: 92 } as const;

/** The recipe in one sentence, each word of which opens its choices. */
export const RecipeSentence = memo(function RecipeSentence(props: Props) {
  const { resolved, shelf, edit, look, onLook, onAddRung } = props;
  const { unit, wetness } = useAppSelector(({ view }) => view);
  const words: Readonly<Record<SentencePart, (text: string) => ReactNode>> = {
    run: (text) => <RunWord {...{ text, resolved, edit }} />,
    inks: (text) => <InksWord {...{ text, resolved, edit, onAddRung }} />,
    tool: (text) => <ToolWord {...{ text, resolved, edit }} />,
    card: (text) => <CardWord {...{ text, resolved, shelf, edit }} />,
    size: (text) => <SizeWord {...{ text, unit, edit }} panel={resolved.recipe.panel} />,
    seen: (text) => <SeenWord {...{ text, resolved, look, onLook }} />,
  };
  return (
    <p className="sentence">
      {recipeSentence(resolved, unit, wetness === 'wet' ? 'wet' : 'dried').map(({ part, before, text }) => (
        <Fragment key={part}>
          {before}
          {words[part](text)}
        </Fragment>
      ))}
      .
    </p>
  );
});

type WordProps = Pick<Props, 'resolved' | 'edit'> & { readonly text: string };

function RunWord({ text, resolved, edit }: WordProps) {
  const { run, panel } = resolved.recipe;
  const { label, params } = RUNS[run.id];
  return (
    <Word label="How the ladder lies" text={text} width="w-[min(38rem,94vw)]">
      {() => (
        <>
          <Choices<RunId>
            label="How the ladder lies"
            value={run.id}
            onChange={(id) => edit((recipe) => setRun(recipe, id))}
            options={RUN_IDS.map((id) => ({
              value: id,
              label: RUNS[id].label,
              hint: RUNS[id].description,
              picture: (
                <RecipeThumb
                  resolved={{ ...resolved, recipe: setRun(resolved.recipe, id) }}
                  label={RUNS[id].label}
                  within={THUMB}
                />
              ),
            }))}
          />
          <p className="text-mute">{RUNS[run.id].description}</p>
          {Object.keys(params).length > 0 && (
            <div className="flex flex-wrap items-center gap-x-4 gap-y-1.5">
              <ParamFields
                of={label}
                specs={params}
                params={run.params}
                panel={panel}
                onChange={(next, gesture) => edit((recipe) => setRunParams(recipe, next), gesture)}
              />
            </div>
          )}
        </>
      )}
    </Word>
  );
}

function InksWord(props: WordProps & Pick<Props, 'onAddRung'>) {
  const { text, resolved, edit, onAddRung } = props;
  const { rungs } = resolved.recipe;
  const { ask, dialog } = useOtherRecipe();
  const line = 'my-1 h-px bg-line';
  return (
    <>
      <Word label="The inks together" text={text} width="w-[min(20rem,94vw)]">
        {(close) => {
          const item = (label: string, act: () => void, disabled = false) => (
            <Button
              look="bare"
              className="w-full max-sm:min-h-11"
              disabled={disabled}
              onClick={() => {
                close();
                act();
              }}
            >
              {label}
            </Button>
          );
          return (
            <div>
              {item('Add a rung: the next ink pressed', onAddRung, rungs.length >= RUNG_LIMITS.max)}
              <div className={line} />
              {item('Light to dark, pale at the top', () => edit(orderedBy(readingsHere(resolved), 'top')))}
              {item('Light to dark, pale at the foot', () => edit(orderedBy(readingsHere(resolved), 'foot')))}
              {item('Reverse', () => edit(reverse))}
              {item('Equal shares', () => edit(shareEqually))}
              <div className={line} />
              {item('Take the run of another recipe', () =>
                ask('Take the run, its tool and its passes from', (from) => edit((to) => copyRun(to, from))),
              )}
              {item('Take the shares of another recipe', () =>
                ask(
                  'Take shares and joints from',
                  (from) => edit((to) => copyShares(to, from)),
                  (other) => other.rungs.length === rungs.length,
                ),
              )}
            </div>
          );
        }}
      </Word>
      {dialog}
    </>
  );
}

const ToolWord = ({ text, resolved, edit }: WordProps) => (
  <Word label="Laid with" text={text} width="w-[min(38rem,94vw)]">
    {(close) => (
      <Choices<ToolId>
        label="Laid with"
        value={resolved.recipe.tool}
        onChange={(tool) => {
          edit((recipe) => ({ ...recipe, tool }));
          close();
        }}
        options={TOOL_IDS.map((tool) => ({
          value: tool,
          label: TOOLS[tool].label,
          picture: (
            <RecipeThumb
              resolved={{ ...resolved, recipe: { ...resolved.recipe, tool } }}
              label={TOOLS[tool].label}
              within={THUMB}
            />
          ),
        }))}
      />
    )}
  </Word>
);

const CardWord = ({ text, resolved, shelf, edit }: WordProps & Pick<Props, 'shelf'>) => (
  <Word label="Card" text={text} width="w-[min(38rem,94vw)]">
    {(close) => (
      <>
        <Choices
          label="Card"
          value={resolved.card.id}
          onChange={(cardId) => {
            edit((recipe) => ({ ...recipe, cardId }));
            close();
          }}
          options={shelf.cards.map((card) => ({
            value: card.id,
            label: card.name,
            picture: <RecipeThumb resolved={{ ...resolved, card }} label={card.name} within={THUMB} />,
          }))}
        />
        <p className="flex flex-wrap items-center gap-2 border-t border-line pt-3">
          <span>Laid at the same time on</span>
          <Select
            label="Laid at the same time on"
            value={resolved.recipe.alsoOn ?? ''}
            options={[
              { value: '', label: 'no other card' },
              ...shelf.cards.map(({ id, name }) => ({
                value: id,
                label: id === resolved.card.id ? 'another of the same' : name,
              })),
            ]}
            onChange={(id) => edit((recipe) => withOther(recipe, id))}
          />
        </p>
      </>
    )}
  </Word>
);

const withOther = ({ alsoOn: _, ...recipe }: Recipe, id: string): Recipe =>
  id === '' ? recipe : { ...recipe, alsoOn: id };

interface SizeProps extends Pick<Props, 'edit'> {
  readonly text: string;
  readonly unit: Unit;
  readonly panel: Panel;
}

function SizeWord({ text, unit, panel, edit }: SizeProps) {
  const known = PANEL_SIZES.findIndex((size) => samePanel(size.panel, panel));
  const resize = (change: Partial<Panel>) =>
    edit((recipe) => setPanel(recipe, { ...recipe.panel, ...change }));
  return (
    <Word label="Panel size" text={text} width="w-[min(20rem,94vw)]">
      {(close) => (
        <>
          <Choices
            label="Panel size"
            value={String(known)}
            onChange={(i) => {
              resize(PANEL_SIZES[Number(i)]?.panel ?? {});
              close();
            }}
            options={PANEL_SIZES.map(({ label }, i) => ({ value: String(i), label }))}
          />
          <p className="flex items-center gap-1.5 border-t border-line pt-3">
            <LengthField
              label="Panel width"
              value={panel.width}
              unit={unit}
              range={PANEL_LIMITS}
              onChange={(width) => resize({ width })}
            />
            ×
            <LengthField
              label="Panel height"
              value={panel.height}
              unit={unit}
              range={PANEL_LIMITS}
              onChange={(height) => resize({ height })}
              suffix={unit}
            />
          </p>
        </>
      )}
    </Word>
  );
}

function SeenWord({
  text,
  resolved,
  look,
  onLook,
}: Pick<Props, 'resolved' | 'look' | 'onLook'> & { readonly text: string }) {
  const dispatch = useAppDispatch();
  const wetness = useAppSelector(({ view }) => view.wetness);
  return (
    <Word label="How the panel is shown" text={text} width="w-[min(20rem,94vw)]">
      {(close) => (
        <>
          <Choices
            label="How the panel is shown"
            value={wetness}
            onChange={(next) => {
              dispatch(viewSet({ wetness: next }));
              close();
            }}
            options={[
              { value: 'dry', label: 'Dried', hint: 'As it is judged' },
              {
                value: 'wet',
                label: 'Wet',
                hint: endsDry(resolved) ? 'After the last pass nothing is' : 'As it looks under the brush',
              },
            ]}
          />
          <Choices
            label="How close"
            value={String(look.zoom)}
            onChange={(zoom) => {
              onLook({ zoom: Number(zoom) });
              close();
            }}
            options={ZOOMS.map((zoom, i) => ({
              value: String(i),
              label: i === 0 ? 'The whole panel' : `${zoom * 100} %`,
            }))}
          />
          <Button
            look="bare"
            className="w-full"
            onClick={() => {
              onLook({ loupe: !look.loupe });
              close();
            }}
          >
            {look.loupe ? 'Put the loupe away' : 'Take the loupe'}
          </Button>
        </>
      )}
    </Word>
  );
}
