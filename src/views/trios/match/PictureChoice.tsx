import type { PictureState } from '../../../app/sampling/usePicture';
import { useFileDrop } from '../../../app/useFileDrop';
import { PASTED_PICTURE, usePastedPicture } from '../../../app/usePaste';
import { REFERENCES } from '../../../core/choose/match/references';
import { Button } from '../../../ui/Button';
import { Select } from '../../../ui/Select';

interface Props {
  readonly picture: PictureState;
  readonly onChosen: () => void;
}

/** A picture of one's own, or one of those that come with the application. */
export function PictureChoice({ picture, onChosen }: Props) {
  const take = (file: File, name: string) => {
    onChosen();
    picture.open(name, (reader) => reader.open(file));
  };
  const { getRootProps, getInputProps, open, isDragActive } = useFileDrop({
    takes: 'a picture',
    onFiles: ([file]) => take(file, file.name),
  });
  usePastedPicture((file) => take(file, PASTED_PICTURE));
  return (
    <div {...getRootProps()} className="space-y-2">
      <div className="flex flex-wrap items-center gap-2">
        <input {...getInputProps({ 'aria-label': 'Picture file' })} />
        <Button look="strong" onClick={open}>
          Open a picture
        </Button>
        <span className="text-mute">
          {isDragActive ? 'Drop it here' : 'or drop or paste one here, or use'}
        </span>
        <Select
          label="A picture that comes with the application"
          value={REFERENCES.find(({ label }) => label === picture.label)?.id ?? ''}
          options={[
            { value: '', label: 'one of ours' },
            ...REFERENCES.map(({ id, label }) => ({ value: id, label })),
          ]}
          onChange={(next) => {
            const chosen = REFERENCES.find(({ id }) => id === next);
            if (!chosen) return;
            onChosen();
            picture.open(chosen.label, (reader) => reader.reference(chosen.id));
          }}
        />
      </div>
      {picture.reading && (
        <p role="status" className="flex items-center gap-3">
          Reading the picture …
          <progress aria-label="Reading the picture" className="flex-1" />
          <Button onClick={picture.cancel}>Cancel</Button>
        </p>
      )}
      {picture.problem && (
        <p role="alert" className="border-l-4 border-text pl-3">
          {picture.problem}
        </p>
      )}
    </div>
  );
}
