import { Fragment, type ReactNode, useState } from 'react';
import { InkChoice } from '../../app/InkChoice';
import type { ChoosingState } from '../../app/useChoosing';
import {
  allowKind,
  allowsKind,
  BLENDED_KINDS,
  SORT_IDS,
  SORTS,
  type SortId,
} from '../../core/choose/search/query';
import { type QueryPart, querySentence, withoutPart } from '../../core/choose/search/querySentence';
import { RELATION_IDS, RELATIONS, type RelationId } from '../../core/choose/search/relations/relations';
import { HUE_SECTORS } from '../../core/choose/shelf/gaps';
import type { Card } from '../../core/materials/card/card';
import type { Ink } from '../../core/materials/ink/ink';
import { INK_KINDS } from '../../core/materials/ink/kinds';
import { Button } from '../../ui/Button';
import { Checkbox } from '../../ui/Checkbox';
import { Choices } from '../../ui/Choices';
import { Menu } from '../../ui/Menu';
import { NumberField } from '../../ui/NumberField';
import { Word } from '../../ui/Word';
import { MoodChoice } from './MoodChoice';

interface Props {
  readonly choosing: ChoosingState;
  readonly inks: readonly Ink[];
  readonly cards: readonly Card[];
  /** The maker's own tags of inks. */
  readonly tags: readonly string[];
}

/** What can be added to the sentence, as its menu says it. */
const ADDED: Readonly<Partial<Record<QueryPart, string>>> = {
  with: 'with an ink …',
  without: 'without an ink …',
  dull: 'without dull joins',
  mood: 'in a mood or for an occasion …',
  made: 'not made before',
  hues: 'in some hues …',
  lightness: 'by how light and dark …',
  families: 'of one family, or several …',
  kinds: 'of some kinds of ink …',
  tag: 'of inks with a tag …',
  far: 'unlike those I keep …',
};
const ADDED_PARTS = Object.keys(ADDED) as readonly QueryPart[];

/** How far from every kept trio one is that is unlike them, mean ΔE00. By eye. */
const UNLIKE = 15;

/** The search in one sentence, each word of which opens its choices; more words are added at its end. */
export function SearchSentence({ choosing, inks, cards, tags }: Props) {
  const { query, cardId, notMade, tag, set, ask, constrain } = choosing;
  /** A word just added that says nothing yet. */
  const [begun, setBegun] = useState<QueryPart>();
  const words = {
    cardName: cards.find(({ id }) => id === cardId)?.name ?? cards[0]?.name ?? '',
    notMade,
    tag,
    nameOf: (id: string) => inks.find((ink) => ink.id === id)?.name ?? id,
  };
  const pieces = querySentence(query, words);
  const isSaid = (part: QueryPart) => pieces.some((piece) => piece.part === part);
  const clear = (part: QueryPart) => {
    setBegun(undefined);
    if (part === 'made') set({ notMade: false });
    else if (part === 'tag') set({ tag: undefined });
    else ask({ constraints: withoutPart(query.constraints, part) });
  };
  const add = (part: QueryPart) => {
    if (part === 'dull') constrain({ noDull: true });
    else if (part === 'made') set({ notMade: true });
    else setBegun(part);
  };
  const word = (part: QueryPart, text: string, opens = false) => (
    <Word
      label={WHAT[part]}
      text={text}
      width={WIDTHS[part] ?? 'w-[min(22rem,94vw)]'}
      isOpenAtFirst={opens}
      onClose={() => setBegun((now) => (now === part ? undefined : now))}
    >
      {(close) => (
        <>
          <PartFields part={part} {...{ choosing, inks, cards, tags, close }} />
          {ADDED[part] && (
            <p className="border-t border-line pt-2">
              <Button
                look="bare"
                onClick={() => {
                  close();
                  clear(part);
                }}
              >
                Take this out
              </Button>
            </p>
          )}
        </>
      )}
    </Word>
  );
  return (
    <section aria-label="What is wanted">
      <p className="sentence">
        {pieces
          .filter(({ part }) => part !== begun)
          .map(({ part, before, text }) => (
            <Fragment key={part}>
              {before}
              {word(part, text)}
            </Fragment>
          ))}
        {/* A word just added stays at the end until its choices are closed. */}
        {begun && (
          <Fragment key={`begun ${begun}`}>
            , {word(begun, pieces.find(({ part }) => part === begun)?.text ?? ADDED[begun] ?? '', true)}
          </Fragment>
        )}
        .{' '}
        <Menu
          look="word"
          items={ADDED_PARTS.filter(
            (part) => !isSaid(part) && part !== begun && (part !== 'tag' || tags.length > 0),
          ).map((part) => ({ label: ADDED[part] ?? part, onSelect: () => add(part) }))}
        >
          <span className="rounded-full border border-dashed border-text px-3 font-sans text-lead not-italic">
            and …
          </span>
        </Menu>
      </p>
    </section>
  );
}

/** What a word stands for. */
const WHAT: Readonly<Record<QueryPart, string>> = {
  relation: 'Relation',
  own: 'Which inks',
  tag: 'Tag of its inks',
  with: 'Must contain',
  without: 'Must not contain',
  dull: 'Dull joins',
  card: 'Card',
  mood: 'Mood or occasion of the trio',
  made: 'Made before',
  far: 'Unlike what is kept',
  families: 'Families',
  kinds: 'Kinds of ink',
  hues: 'Hues of its inks',
  lightness: 'Lightness',
  sort: 'Rank by',
};

const WIDTHS: Readonly<Partial<Record<QueryPart, string>>> = {
  relation: 'w-[min(34rem,94vw)]',
  hues: 'w-[min(26rem,94vw)]',
};

interface FieldsProps extends Props {
  readonly part: QueryPart;
  readonly close: () => void;
}

/** What is chosen for a part of the sentence. */
function PartFields({ part, choosing, inks, cards, tags, close }: FieldsProps): ReactNode {
  const { query, cardId, tag, set, ask, constrain } = choosing;
  const { constraints } = query;
  switch (part) {
    case 'relation':
      return (
        <Choices<RelationId>
          label="Relation"
          value={query.relation}
          onChange={(relation) => {
            ask({ relation });
            close();
          }}
          options={RELATION_IDS.map((id) => ({
            value: id,
            label: RELATIONS[id].label,
            hint: RELATIONS[id].description,
          }))}
        />
      );
    case 'own':
      return (
        <Choices
          label="Which inks"
          value={constraints.ownedOnly ? 'own' : 'all'}
          onChange={(which) => {
            constrain({ ownedOnly: which === 'own' });
            close();
          }}
          options={[
            { value: 'own', label: 'Inks I own' },
            { value: 'all', label: 'All inks, those wished for too' },
          ]}
        />
      );
    case 'card':
      return (
        <Choices
          label="Card"
          value={cardId}
          onChange={(id) => {
            set({ cardId: id });
            close();
          }}
          options={cards.map(({ id, name }) => ({ value: id, label: name }))}
        />
      );
    case 'sort':
      return <SortFields choosing={choosing} close={close} />;
    case 'with':
    case 'without': {
      const key = part === 'with' ? 'mustContain' : 'mustNotContain';
      return (
        <InkIds
          label={WHAT[part]}
          ids={constraints[key]}
          inks={inks}
          max={part === 'with' ? 3 : inks.length}
          onIds={(ids) => constrain({ [key]: ids })}
        />
      );
    }
    case 'mood':
      return <MoodChoice mood={constraints.mood} onMood={(mood) => constrain({ mood })} />;
    case 'tag':
      return (
        <Choices
          label="Tag of its inks"
          value={tag ?? ''}
          onChange={(next) => {
            set({ tag: next });
            close();
          }}
          options={tags.map((one) => ({ value: one, label: one }))}
        />
      );
    case 'families':
      return (
        <Choices
          label="Families"
          value={constraints.families}
          onChange={(families) => {
            constrain({ families });
            close();
          }}
          options={[
            { value: 'same', label: 'All of one family' },
            { value: 'mixed', label: 'Of several families' },
            { value: 'any', label: 'Either' },
          ]}
        />
      );
    case 'kinds':
      return <KindFields choosing={choosing} />;
    case 'hues':
      return <HueFields choosing={choosing} />;
    case 'lightness':
      return <LightnessFields choosing={choosing} />;
    case 'far':
      return <FarFields choosing={choosing} />;
    case 'dull':
      return (
        <p>
          No trio is shown of which a join greys softly on its way. One with mud in a join never is shown.
        </p>
      );
    case 'made':
      return <p>No trio is shown that one of your recipes is made of.</p>;
  }
}

type PartProps = Pick<Props, 'choosing'>;

function SortFields({ choosing: { query, ask }, close }: PartProps & { readonly close: () => void }) {
  return (
    <>
      <Choices<SortId>
        label="Rank by"
        value={query.sort}
        onChange={(sort) => {
          ask({ sort });
          if (sort !== 'chance') close();
        }}
        options={SORT_IDS.map((id) => ({ value: id, label: SORTS[id].label, hint: SORTS[id].description }))}
      />
      {query.sort === 'chance' && (
        <p className="flex items-center gap-2">
          Seed
          <NumberField
            label="Seed"
            value={query.seed}
            min={1}
            max={999_999}
            onValue={(seed) => ask({ seed })}
          />
        </p>
      )}
    </>
  );
}

const KindFields = ({ choosing: { query, constrain } }: PartProps) => (
  <>
    <p className="text-mute">White, and fluorescents, whose glow is not modelled, only when ticked.</p>
    <div className="flex flex-col items-start gap-1">
      {BLENDED_KINDS.map((kind) => (
        <Checkbox
          key={kind}
          label={INK_KINDS[kind].label}
          checked={allowsKind(query.constraints, kind)}
          onChange={({ target }) => constrain(allowKind(query.constraints, kind, target.checked))}
        />
      ))}
    </div>
  </>
);

const HueFields = ({ choosing: { query, constrain } }: PartProps) => {
  const { hues } = query.constraints;
  return (
    <>
      <p className="text-mute">Every ink of one of these; none ticked is any.</p>
      <div className="grid grid-cols-2 gap-x-3 gap-y-1">
        {[...HUE_SECTORS, 'greys'].map((hue, i) => (
          <Checkbox
            key={hue}
            label={hue}
            checked={hues.includes(i)}
            onChange={({ target }) =>
              constrain({ hues: target.checked ? [...hues, i] : hues.filter((other) => other !== i) })
            }
          />
        ))}
      </div>
    </>
  );
};

const LIMITS = [
  { key: 'palestAtLeast', label: 'Palest at least, L*', max: 100 },
  { key: 'darkestAtMost', label: 'Darkest at most, L*', max: 100 },
  { key: 'spacingAtLeast', label: 'Steps at least, L*', max: 50 },
] as const;

const LightnessFields = ({ choosing: { query, constrain } }: PartProps) => (
  <>
    <p className="text-mute">L* is lightness: 0 is black, 100 white.</p>
    <div className="grid grid-cols-[1fr_auto] items-center gap-y-1">
      {LIMITS.map(({ key, label, max }) => (
        <Fragment key={key}>
          <span>{label}</span>
          <NumberField
            label={label}
            value={query.constraints[key]}
            min={0}
            max={max}
            onValue={(value) => constrain({ [key]: value })}
          />
        </Fragment>
      ))}
    </div>
  </>
);

const FarFields = ({ choosing: { query, constrain } }: PartProps) => (
  <>
    <p>How far from every kept trio, in ΔE00 on average; {UNLIKE} is plainly another one.</p>
    <p className="flex items-center gap-2">
      <NumberField
        label="From kept trios at least, ΔE00"
        value={query.constraints.farFromKept}
        min={0}
        max={60}
        onValue={(farFromKept) => constrain({ farFromKept })}
      />
      <Button onClick={() => constrain({ farFromKept: UNLIKE })}>{UNLIKE}</Button>
    </p>
  </>
);

interface InkIdsProps {
  readonly label: string;
  readonly ids: readonly string[];
  readonly inks: readonly Ink[];
  readonly max: number;
  readonly onIds: (ids: readonly string[]) => void;
}

function InkIds({ label, ids, inks, max, onIds }: InkIdsProps) {
  const nameOf = (id: string) => inks.find((ink) => ink.id === id)?.name ?? id;
  return (
    <>
      {ids.length > 0 && (
        <ul className="flex flex-wrap gap-1">
          {ids.map((id) => (
            <li key={id}>
              <Button
                aria-label={`${label}: take out ${nameOf(id)}`}
                onClick={() => onIds(ids.filter((other) => other !== id))}
              >
                {nameOf(id)} ×
              </Button>
            </li>
          ))}
        </ul>
      )}
      {ids.length < max && (
        <InkChoice
          label={label}
          inks={inks.filter(({ id }) => !ids.includes(id))}
          value=""
          none="add an ink"
          onChange={(id) => id && onIds([...ids, id])}
        />
      )}
    </>
  );
}
