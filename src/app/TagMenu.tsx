import { Popover } from 'radix-ui';
import { useState } from 'react';
import { TAG_LIMITS } from '../data/tags';
import { Button } from '../ui/Button';
import { Checkbox } from '../ui/Checkbox';
import { FLOATING } from '../ui/floating';
import type { Tags } from './useTags';

interface Props {
  readonly ids: readonly string[];
  /** Every tag in use in the drawer. */
  readonly known: readonly string[];
  readonly tags: Tags;
}

/** Writes tags on the things taken, and takes them off. */
export function TagMenu({ ids, known, tags }: Props) {
  const [typed, setTyped] = useState('');
  const has = (tag: string) => ids.every((id) => tags.tagsOf(id).includes(tag));
  return (
    <Popover.Root>
      <Popover.Trigger asChild>
        <Button disabled={ids.length === 0}>Tag …</Button>
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          align="start"
          sideOffset={4}
          collisionPadding={8}
          aria-label="Tags"
          className={`w-60 space-y-2 ${FLOATING}`}
        >
          <form
            onSubmit={(event) => {
              event.preventDefault();
              if (typed.trim() !== '') void tags.tag(ids, typed.trim(), true);
              setTyped('');
            }}
            className="flex gap-2"
          >
            <input
              aria-label="A new tag"
              placeholder="A new tag"
              value={typed}
              maxLength={TAG_LIMITS.letters}
              onChange={({ target }) => setTyped(target.value)}
              className="frame min-h-8 min-w-0 flex-1 px-2 placeholder:text-mute"
            />
            <Button type="submit">Add</Button>
          </form>
          <ul className="max-h-60 space-y-1 overflow-y-auto">
            {known.map((tag) => (
              <li key={tag}>
                <Checkbox
                  label={tag}
                  checked={has(tag)}
                  onChange={({ target }) => void tags.tag(ids, tag, target.checked)}
                />
              </li>
            ))}
          </ul>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
