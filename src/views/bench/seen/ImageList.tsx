import { type ImageInk, type ImageSeen, readsOn } from '../../../core/readings/legibility/legibility';
import { Segmented } from '../../../ui/Segmented';

interface Props {
  readonly images: readonly ImageSeen[];
  readonly needed: number;
  readonly shown: ImageInk['id'];
  readonly best: ImageInk['id'] | undefined;
  readonly impressions: number;
  readonly onChoose: (id: ImageInk['id']) => void;
  readonly onImpressions: (impressions: number) => void;
}

/** What the image could be made in, each with how much of the panel it reads on. */
export function ImageList({ images, needed, shown, best, impressions, onChoose, onImpressions }: Props) {
  return (
    <section aria-label="Silhouette or greeting in">
      <h3 className="heading mb-1 text-lead">Silhouette or greeting in</h3>
      <ul className="space-y-1">
        {images.map(({ image, legibility }) => {
          const part = readsOn(legibility, needed);
          return (
            <li key={image.id}>
              <label className="grid cursor-pointer grid-cols-[auto_1fr_auto] items-center gap-x-3 bg-pane px-3 py-1.5">
                <input
                  type="radio"
                  name="image"
                  checked={shown === image.id}
                  onChange={() => onChoose(image.id)}
                  className="size-4 accent-(--strong)"
                />
                <span>
                  {image.label}
                  {best === image.id && <strong> · does best</strong>}
                </span>
                <span className="text-right">
                  <strong>{Math.round(part * 100)} %</strong>{' '}
                  <span className="text-mute">
                    of the panel, {legibility.least.toFixed(1)} to {legibility.most.toFixed(1)} : 1
                  </span>
                </span>
              </label>
            </li>
          );
        })}
      </ul>
      <div className="mt-2 flex flex-wrap items-center gap-2">
        <span className="text-mute">Pale images pressed</span>
        <Segmented
          label="Impressions of a pale image"
          value={String(impressions)}
          onChange={(next) => onImpressions(Number(next))}
          options={[
            { value: '1', label: 'once' },
            { value: '2', label: 'twice' },
            { value: '3', label: 'three times' },
          ]}
        />
      </div>
    </section>
  );
}
