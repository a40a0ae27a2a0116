import { type Accept, type DropzoneState, useDropzone } from 'react-dropzone';
import { useNotify } from '../ui/Notices';

interface FileDrop {
  /** What is taken, for whoever drops something else: `a log that was exported here`. */
  readonly takes: string;
  /** Media types and the ends of names; whatever there is where absent: whoever reads it says what is wrong. */
  readonly accept?: Accept;
  /** Several at once; else one, and more are refused. */
  readonly many?: boolean;
  readonly onFiles: (files: readonly [File, ...File[]]) => void;
}

/** What the package calls a file that `accept` does not name. */
const OTHER_KIND = 'file-invalid-type';

/** A place where files are dropped, or chosen by its `open`. What is not taken is said, with what is. */
export function useFileDrop({ takes, accept, many = false, onFiles }: FileDrop): DropzoneState {
  const notify = useNotify();
  return useDropzone({
    noClick: true,
    noKeyboard: true,
    // What lies in another such place is its own.
    noDragEventsBubbling: true,
    multiple: many,
    ...(accept && { accept }),
    onDrop: (taken, refused) => {
      const ofOtherKind = refused.find(({ errors }) => errors.some(({ code }) => code === OTHER_KIND));
      if (ofOtherKind) notify({ text: `“${ofOtherKind.file.name}” is not taken here: this takes ${takes}.` });
      // Which of several is meant is not guessed.
      else if (refused.length > 0)
        notify({
          text: `${taken.length + refused.length} files are too many: one at a time is taken here.`,
        });
      const [first, ...more] = taken;
      if (first && refused.length === 0) onFiles([first, ...more]);
    },
  });
}
