import { useMemo } from 'react';
import { useLogActions } from '../../app/log/useLogActions';
import { GUESSED, modelSays, withGuess } from '../../core/keep/log/guesses';
import type { JoinGuess, MadePanel } from '../../core/keep/log/made';
import type { VerdictKind } from '../../core/readings/joints/joint';
import { Select } from '../../ui/Select';

const OPEN = '';

/** What the maker foresees of each join before it is made, and what came of it; the model's word stands beside, once said. */
export function Guesses({ panel }: { readonly panel: MadePanel }) {
  const { change } = useLogActions();
  const says = useMemo(() => modelSays(panel), [panel]);
  const { made, guesses = [] } = panel;
  if (!made || says.length === 0) return null;
  const nameAt = (rung: number) =>
    made.inks.find(({ id }) => id === made.recipe.rungs[rung]?.inkId)?.name ?? '';
  const set = (join: number, key: keyof JoinGuess, value: string) =>
    void change(panel, {
      guesses: withGuess(
        panel,
        join,
        key,
        GUESSED.find((one) => one === value),
      ),
    });
  const options = (first: string): { readonly value: VerdictKind | ''; readonly label: string }[] => [
    { value: OPEN, label: first },
    ...GUESSED.map((kind) => ({ value: kind, label: kind })),
  ];
  return (
    <fieldset className="space-y-2">
      <legend className="mb-1 font-semibold">Predicted before made</legend>
      {says.map((model, join) => {
        const guess = guesses[join] ?? {};
        const between = `${nameAt(join)} into ${nameAt(join + 1)}`;
        return (
          <div key={between} className="space-y-1">
            <p>{between}</p>
            <p className="flex flex-wrap gap-1">
              <Select<VerdictKind | ''>
                label={`What you foresee of ${between}`}
                value={guess.said ?? OPEN}
                options={options('I foresee …')}
                onChange={(value) => set(join, 'said', value)}
              />
              <Select<VerdictKind | ''>
                label={`What came of ${between}`}
                value={guess.came ?? OPEN}
                options={options('it came out …')}
                onChange={(value) => set(join, 'came', value)}
              />
            </p>
            {guess.said && <p className="text-mute">The model says: {model}.</p>}
          </div>
        );
      })}
    </fieldset>
  );
}
