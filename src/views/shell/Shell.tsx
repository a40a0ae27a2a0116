import { Suspense, useEffect } from 'react';
import { ErrorBoundary } from 'react-error-boundary';
import { NavLink, Outlet, useLocation } from 'react-router';
import { useAppDispatch, useAppSelector } from '../../store/hooks';
import { type Surround, viewSet } from '../../store/view';
import { Segmented } from '../../ui/Segmented';
import { Failed } from './Failed';

const VIEWS = [
  { to: '/bench', label: 'Bench' },
  { to: '/trios', label: 'Trios' },
  { to: '/shelf', label: 'Shelf' },
  { to: '/recipes', label: 'Recipes' },
] as const;

/** What stands around every view: the name, the ways to the views, units and surround. */
export function Shell() {
  const dispatch = useAppDispatch();
  const { pathname } = useLocation();
  const { unit, surround } = useAppSelector(({ view }) => view);
  useEffect(() => {
    document.documentElement.dataset.surround = surround;
  }, [surround]);
  return (
    <div className="flex min-h-full flex-col lg:h-full">
      <header className="flex flex-wrap items-center gap-x-5 gap-y-1 border-b border-line bg-sheet px-4 py-2 print:hidden">
        <span className="heading flex items-center gap-2 text-[17px]">
          <LadderSign />
          Tint Ladder
        </span>
        <nav aria-label="Views" className="mr-auto flex gap-1">
          {VIEWS.map(({ to, label }) => (
            <NavLink
              key={to}
              to={to}
              className="border-b-2 border-transparent px-2 py-1 aria-[current=page]:border-text aria-[current=page]:font-semibold"
            >
              {label}
            </NavLink>
          ))}
        </nav>
        <Segmented<Surround>
          label="Surround"
          value={surround}
          onChange={(next) => dispatch(viewSet({ surround: next }))}
          options={[
            { value: 'light', label: 'Light', hint: 'A light grey surround' },
            { value: 'middle', label: 'Middle', hint: 'A middle grey surround, to judge colour in' },
            { value: 'dark', label: 'Dark', hint: 'A dark grey surround' },
          ]}
        />
        <Segmented
          label="Measure in"
          value={unit}
          onChange={(next) => dispatch(viewSet({ unit: next }))}
          options={[
            { value: 'mm', label: 'mm', hint: 'Millimetres' },
            { value: 'in', label: 'in', hint: 'Inches, to the nearest sixteenth' },
          ]}
        />
      </header>
      <ErrorBoundary FallbackComponent={Failed} resetKeys={[pathname]} onError={console.error}>
        <Suspense fallback={<p className="p-6 text-mute">Opening …</p>}>
          <Outlet />
        </Suspense>
      </ErrorBoundary>
    </div>
  );
}

/** Three rungs, pale to dark. */
function LadderSign() {
  return (
    <svg aria-hidden="true" viewBox="0 0 20 22" className="h-5.5 w-5">
      <path d="M4 1v20M16 1v20" className="stroke-text" strokeWidth={2} strokeLinecap="round" />
      <path d="M4 6h12" stroke="#e2e2e2" strokeWidth={3} />
      <path d="M4 11h12" stroke="#8f8f8f" strokeWidth={3} />
      <path d="M4 16h12" stroke="#303030" strokeWidth={3} />
    </svg>
  );
}
