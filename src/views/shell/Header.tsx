import { Search, Settings2 } from 'lucide-react';
import { lazy, Suspense } from 'react';
import { ErrorBoundary } from 'react-error-boundary';
import { NavLink, useLocation, useNavigate } from 'react-router';
import { useAppSelector } from '../../store/hooks';
import { Button } from '../../ui/Button';
import { focusMain } from '../../ui/focus';
import { MenuFailed } from './Failed';
import { DRAWERS, WORK } from './places';
import type { Open } from './useShellCommands';

/** On a phone the drawers, and what else stands at the head of the page, are behind one button. */
const Menu = lazy(() => import('../../ui/Menu').then((m) => ({ default: m.Menu })));

/** At the desk, on a phone, every line is for the work. */
const isAtDesk = (pathname: string): boolean => pathname.startsWith('/desk') || pathname.endsWith('/desk');

/** The head of the page: the name, the ways to the work and to the drawers, and what finds things. */
export function Header({ onOpen }: { readonly onOpen: (what: Open) => void }) {
  const { pathname } = useLocation();
  const navigate = useNavigate();
  const onBench = useAppSelector(({ draft }) => draft.recipe?.id);
  return (
    <header
      className={`flex min-h-12 items-center gap-x-3 border-b border-line bg-sheet px-4 print:hidden max-lg:px-2 ${isAtDesk(pathname) ? 'max-lg:hidden' : ''}`}
    >
      <Button className="not-focus:sr-only" onClick={focusMain}>
        Skip to the work
      </Button>
      <span className="heading flex items-center gap-2 text-lead">
        <span className="max-sm:hidden">
          <LadderSign />
        </span>
        <span className="max-lg:sr-only">Tint Ladder</span>
      </span>
      <nav
        aria-label="Views"
        className="mr-auto flex min-w-0 items-center overflow-x-auto max-md:w-full max-sm:justify-between lg:ml-3"
      >
        {WORK.map(({ to, label, also }) => (
          <NavLink
            key={to}
            // Straight to what lies on the bench: on the way by the bare address another press could be overtaken.
            to={to === '/bench' && onBench ? `/bench/${onBench}` : to}
            className={`heading rounded-[3px] px-3 py-1.5 hover:bg-field aria-[current=page]:bg-strong aria-[current=page]:text-on-strong max-lg:px-2 max-lg:py-3 ${also.some((path) => pathname.startsWith(path)) ? 'bg-strong text-on-strong' : ''}`}
          >
            {label}
          </NavLink>
        ))}
        <span aria-hidden="true" className="mx-3 h-7 w-px shrink-0 bg-line max-md:hidden" />
        {DRAWERS.map(({ to, label }) => (
          <NavLink
            key={to}
            to={to}
            className="rounded-[3px] px-2.5 py-1.5 text-mute hover:bg-field aria-[current=page]:font-semibold aria-[current=page]:text-text aria-[current=page]:underline aria-[current=page]:decoration-2 aria-[current=page]:underline-offset-8 max-md:hidden max-lg:py-3"
          >
            {label}
          </NavLink>
        ))}
        <span className="md:hidden">
          <ErrorBoundary FallbackComponent={MenuFailed} onError={console.error}>
            <Suspense fallback={null}>
              <Menu
                look="bare"
                items={[
                  ...DRAWERS.map(({ to, label }) => ({ label, onSelect: () => navigate(to) })),
                  'line',
                  { label: 'Find anything', onSelect: () => onOpen('palette') },
                  { label: 'Desk settings', onSelect: () => onOpen('settings') },
                ]}
              >
                <span className="block py-3">More</span>
              </Menu>
            </Suspense>
          </ErrorBoundary>
        </span>
      </nav>
      <Button
        aria-label="Find anything"
        aria-keyshortcuts="Control+K"
        className="max-lg:size-11 max-lg:justify-center max-md:hidden"
        onClick={() => onOpen('palette')}
      >
        <Search size={15} aria-hidden="true" className="lg:hidden" />
        <span className="max-lg:hidden after:text-mute after:content-['_Ctrl_K']">Find</span>
      </Button>
      <Button
        aria-label="Desk settings"
        className="max-lg:size-11 max-lg:justify-center max-md:hidden"
        onClick={() => onOpen('settings')}
      >
        <Settings2 size={16} aria-hidden="true" className="lg:hidden" />
        <span className="max-lg:hidden">Desk settings</span>
      </Button>
    </header>
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
