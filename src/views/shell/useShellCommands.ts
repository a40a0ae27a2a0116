import { useMemo } from 'react';
import { useNavigate } from 'react-router';
import { type Command, useCommands } from '../../app/commands';
import { useAppDispatch } from '../../store/hooks';
import { viewSet } from '../../store/view';
import { DRAWERS, PLACES, WORK } from './places';

/** What stands over every view while it is open. */
export type Open = 'start' | 'palette' | 'help' | 'settings' | 'tour';

/** What can be done from everywhere, by name and by key. Keep both functions steady, or it is offered anew each time. */
export function useShellCommands(onOpen: (what: Open) => void, startTour: () => void): void {
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  useCommands(
    useMemo<readonly Command[]>(
      () => [
        {
          id: 'new',
          label: 'New recipe',
          also: 'create start begin add panel',
          group: 'Recipe',
          key: 'n',
          run: () => onOpen('start'),
        },
        { id: 'find', label: 'Find anything', group: 'Help', key: 'Ctrl+k', run: () => onOpen('palette') },
        {
          id: 'keys',
          label: 'Help: keys, words and how to',
          also: 'shortcuts glossary guide manual',
          group: 'Help',
          key: '?',
          run: () => onOpen('help'),
        },
        {
          id: 'tour',
          label: 'Show me round the bench',
          also: 'tour start first',
          group: 'Help',
          run: startTour,
        },
        {
          id: 'settings',
          label: 'Desk settings',
          also: 'preferences options units inches millimetres surround paper letter keys brushes owned',
          group: 'View',
          run: () => onOpen('settings'),
        },
        {
          id: 'backup',
          label: 'Backup: save everything, or bring it in',
          also: 'export import restore move computer all zip storage',
          group: 'View',
          run: () => onOpen('settings'),
        },
        ...[...WORK, ...DRAWERS.map((drawer) => ({ ...drawer, words: '' }))].map(({ to, label, words }) => ({
          id: to,
          label: `Go to ${label}`,
          also: words,
          group: 'Views',
          run: () => navigate(to),
        })),
        ...PLACES.map(({ to, ...place }) => ({ id: to, ...place, run: () => navigate(to) })),
        {
          id: 'mm',
          label: 'Measure in millimetres',
          also: 'units mm metric',
          group: 'View',
          run: () => dispatch(viewSet({ unit: 'mm' })),
        },
        {
          id: 'in',
          label: 'Measure in inches',
          also: 'units in imperial',
          group: 'View',
          run: () => dispatch(viewSet({ unit: 'in' })),
        },
        ...(['light', 'middle', 'dark'] as const).map((name) => ({
          id: `surround-${name}`,
          label: `Surround ${name}`,
          also: 'theme background grey mode',
          group: 'View',
          run: () => dispatch(viewSet({ surround: name })),
        })),
      ],
      [dispatch, navigate, onOpen, startTour],
    ),
  );
}
