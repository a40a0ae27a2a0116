import { Button } from '../../ui/Button';
import { Segmented } from '../../ui/Segmented';

/** What stands beside the panel. */
export type Side = 'readings' | 'passes';

interface Props {
  readonly side: Side;
  /** How many passes the recipe has. */
  readonly passes: number;
  readonly onSide: (side: Side) => void;
  readonly onSeen: () => void;
}

/** What stands beside the panel, and the way to whether it will be seen. */
export const SideTabs = ({ side, passes, onSide, onSeen }: Props) => (
  <>
    <Segmented<Side>
      label="What stands beside the panel"
      value={side}
      onChange={onSide}
      options={[
        { value: 'readings', label: 'Readings' },
        {
          value: 'passes',
          label: passes > 0 ? `Over the blend, ${passes}` : 'Over the blend',
          hint: 'What is done before the blend and over it',
        },
      ]}
    />
    <Button look="bare" className="ml-auto text-mute hover:text-text" onClick={onSeen}>
      Will it be seen?
    </Button>
  </>
);
