import { LayOutList } from '../../app/LayOutList';
import { counted } from '../../core/base/words';
import type { KnownSitting } from '../../core/make/sitting/known';
import { layOutOf, shortOf, tellAmount } from '../../core/make/sitting/layOut';
import type { SittingOutlay } from '../../core/make/sitting/outlay';
import type { PlannedSitting } from '../../core/make/sitting/plan';
import { clockAfter, type SittingRecord } from '../../core/make/sitting/record';
import type { Plan } from '../../core/make/sitting/sitting';
import { Button } from '../../ui/Button';
import { Checkbox } from '../../ui/Checkbox';
import type { PlanSeen } from './usePlan';

const Section = ({ title, children }: { readonly title: string; readonly children: React.ReactNode }) => (
  <section aria-label={title} className="min-w-0 space-y-2">
    <h2 className="heading text-lead">{title}</h2>
    {children}
  </section>
);

/** What the plain ways would cost beside the plan: it has to earn its place. */
export function ByHand({
  planned: { plan, naive },
  origin,
}: {
  readonly planned: PlannedSitting;
  readonly origin: string;
}) {
  const ways: readonly (readonly [string, Plan | undefined])[] = [
    ['As planned', plan],
    ['Four at a time, recipe after recipe', naive.inFours],
    ['Stage by stage, all panels', naive.stageByStage],
    ['Panel after panel', naive.panelAfterPanel],
  ];
  return (
    <Section title="By hand it would be">
      <table className="w-full max-w-md">
        <thead className="text-left text-mute">
          <tr>
            <th scope="col">way</th>
            <th scope="col" className="pl-4 text-right">
              done
            </th>
            <th scope="col" className="pl-4 text-right">
              wipes
            </th>
            <th scope="col" className="pl-4 text-right">
              washes
            </th>
          </tr>
        </thead>
        <tbody className="tabular-nums">
          {ways.map(([way, one]) => (
            <tr key={way} className={one === plan ? 'font-semibold' : ''}>
              <th scope="row" className="text-left font-normal">
                {way}
              </th>
              {one ? (
                <>
                  <td className="text-right">{clockAfter(origin, one.makespan)}</td>
                  <td className="text-right">{one.wipes}</td>
                  <td className="text-right">{one.washes}</td>
                </>
              ) : (
                <td colSpan={3} className="text-right text-mute">
                  no room to dry
                </td>
              )}
            </tr>
          ))}
        </tbody>
      </table>
    </Section>
  );
}

/** What one thing more at hand would save. */
export function WouldHelp({ advice }: Pick<PlanSeen, 'advice'>) {
  return (
    <Section title="What would help">
      {!advice ? (
        <p role="status" className="text-mute">
          Trying one thing more of each …
        </p>
      ) : advice.help.length === 0 ? (
        <p>Nothing more at hand would end it sooner: it is your own work that takes the time.</p>
      ) : (
        <ul className="space-y-0.5">
          {advice.help.map(({ what, saves, washes }) => (
            <li key={what}>
              <strong className="tabular-nums">{Math.round(saves)} min</strong> with {what}
              {washes > 0 ? `, and ${counted(washes, 'wash', 'washes')} fewer` : ''}
            </li>
          ))}
        </ul>
      )}
    </Section>
  );
}

interface SplitProps extends Pick<PlanSeen, 'advice'> {
  readonly known: KnownSitting;
  readonly finish: string;
  readonly onSplit: (evenings: readonly (readonly number[])[]) => void;
}

/** What the hour wished for leaves time for, and how the rest is put on further evenings. */
export function TooLong({ advice, known, finish, onSplit }: SplitProps) {
  const { by, evenings } = advice ?? {};
  if (!by) return null;
  const all = (counts: readonly number[]) => counts.reduce((sum, count) => sum + count, 0);
  const tell = (counts: readonly number[]) =>
    counts
      .flatMap((count, i) => (count > 0 ? [`${count} of ${known.lots[i]?.resolved.recipe.name ?? ''}`] : []))
      .join(', ');
  return (
    <Section title={`By ${finish}`}>
      <p>
        {all(by) === 0 ? 'No panel' : counted(all(by), 'panel')} can be dry by then
        {all(by) > 0 ? `: ${tell(by)}` : ''}.
      </p>
      {evenings ? (
        <>
          <p>All of them take {counted(evenings.length, 'evening')}:</p>
          <ol className="list-decimal pl-5">
            {evenings
              .map((counts, evening) => ({ counts, evening }))
              .map(({ counts, evening }) => (
                <li key={evening}>
                  {all(counts)}: {tell(counts)}
                </li>
              ))}
          </ol>
          {!known.record.run && evenings.length > 1 && (
            <Button onClick={() => onSplit(evenings)}>Make {evenings.length} evenings of it</Button>
          )}
        </>
      ) : (
        <p>Even one panel is not dry by then, or it takes more than a fortnight: wish for a later hour.</p>
      )}
    </Section>
  );
}

interface BeforeProps {
  readonly known: KnownSitting;
  readonly plan: Plan;
  readonly outlay: SittingOutlay | undefined;
  readonly onChange: (change: (now: SittingRecord) => SittingRecord) => void;
}

/** Everything to lay out before it is begun, to be ticked off. */
export function Before({ known, plan, outlay, onChange }: BeforeProps) {
  const short = outlay ? shortOf(outlay) : [];
  return (
    <Section title="Lay out first">
      <Checkbox
        label="Whole cards, put together as in Cards, Cutting"
        checked={known.record.putsTogether}
        onChange={({ target }) => onChange((now) => ({ ...now, putsTogether: target.checked }))}
      />
      {short.map((one) => (
        <p key={one} role="alert" className="border-l-2 border-text pl-3">
          {one}
        </p>
      ))}
      {outlay ? (
        <LayOutList recipeId={`sitting ${known.record.id}`} things={layOutOf(known.sitting, plan, outlay)} />
      ) : (
        <p role="status" className="text-mute">
          Cutting, measuring and counting …
        </p>
      )}
    </Section>
  );
}

/** Ink of the sitting, and what is left in a bottle. */
export function InkAndMaterials({ outlay }: { readonly outlay: SittingOutlay | undefined }) {
  if (!outlay) return null;
  const { inks, things, refills, perCoat } = outlay;
  return (
    <Section title="Ink and materials">
      <table className="w-full max-w-md">
        <thead className="text-left text-mute">
          <tr>
            <th scope="col">ink</th>
            <th scope="col" className="pl-4 text-right">
              ml
            </th>
            <th scope="col" className="pl-4 text-right">
              a bottle does
            </th>
          </tr>
        </thead>
        <tbody className="tabular-nums">
          {inks.map(({ inkId, name, ml, bottle, isDry }) => (
            <tr key={inkId}>
              <th scope="row" className="text-left font-normal">
                {name}
                {isDry ? ', re-ink first' : ''}
              </th>
              <td className="text-right">{ml < 0.1 ? '< 0.1' : ml.toFixed(1)}</td>
              <td className="text-right">{counted(bottle, 'panel')}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {things.map(({ thing, amount, unit }) => (
        <p key={thing}>
          {thing}: {tellAmount(amount, unit)}
        </p>
      ))}
      <p className="text-mute">
        {refills > 0
          ? `${perCoat.toFixed(0)} ml a square metre and coat, by ${counted(refills, 're-inking')} of your own.`
          : `${perCoat} ml a square metre and coat, with what stays in brush and paper: a usual figure, until your re-inkings say better.`}
      </p>
    </Section>
  );
}
