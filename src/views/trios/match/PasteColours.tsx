import { useState } from 'react';
import { readPasted } from '../../../core/choose/match/pasted';
import type { Hex } from '../../../core/materials/colour/hex';
import { Button } from '../../../ui/Button';

interface Props {
  readonly onColours: (colours: readonly Hex[]) => void;
}

/** Colours typed or pasted instead of a picture. */
export function PasteColours({ onColours }: Props) {
  const [text, setText] = useState('');
  const [problem, setProblem] = useState<string>();
  const use = () => {
    const read = readPasted(text);
    if ('problem' in read) return setProblem(read.problem);
    setProblem(undefined);
    onColours(read.colours);
  };
  return (
    <details>
      <summary className="cursor-pointer font-semibold">Or paste colours</summary>
      <div className="mt-2 flex flex-wrap items-start gap-2">
        <textarea
          aria-label="Colours, one a line"
          aria-invalid={problem !== undefined}
          rows={3}
          value={text}
          placeholder={'#f2c230\n54.2 -28 -8'}
          onChange={({ target }) => setText(target.value)}
          className="frame min-w-44 flex-1 px-2 py-1 font-mono text-small placeholder:text-mute"
        />
        <Button onClick={use}>Match these</Button>
      </div>
      {problem && (
        <p role="alert" className="mt-1 border-l-2 border-text pl-2">
          {problem}
        </p>
      )}
    </details>
  );
}
