import { useState } from 'react';
import { useOnce } from '../../app/once';
import { type Shelf, useDatabase, useShelf } from '../../app/session';
import { TileWall } from '../../app/TileWall';
import { AS, AS_OPTIONS, type As, useAddressed } from '../../app/useAddressed';
import { useFileDrop } from '../../app/useFileDrop';
import type { Design, DesignUse } from '../../core/materials/design/design';
import { isOwnDesign } from '../../core/materials/design/own';
import { keepRow } from '../../data/changes';
import { removeDesign } from '../../data/designs';
import { InUse } from '../../data/inUse';
import { useAppSelector } from '../../store/hooks';
import { Button } from '../../ui/Button';
import { useNotify } from '../../ui/Notices';
import { PageHeader } from '../../ui/PageHeader';
import { Segmented } from '../../ui/Segmented';
import { DesignForm } from './DesignForm';
import { DesignImport } from './DesignImport';
import { DesignTable } from './DesignTable';
import { DESIGN_TILE, DesignTile } from './DesignTile';
import { useFinestLines } from './useFinestLines';

type Shown = DesignUse | 'all';

/** The designs for stencils, resists and silhouettes: those that come along, and the maker's own. */
export function DesignsView() {
  const shelf = useShelf();
  if (!shelf) return <p className="p-6 text-mute">Opening the folder …</p>;
  return <Folder shelf={shelf} />;
}

function Folder({ shelf }: { readonly shelf: Shelf }) {
  const db = useDatabase();
  const notify = useNotify();
  const unit = useAppSelector(({ view }) => view.unit);
  const [shown, setShown] = useState<Shown>('all');
  const [as, setAs] = useAddressed<As>('as', [...AS]);
  const [file, setFile] = useState<File>();
  const [edited, setEdited] = useState<Design>();
  const finest = useFinestLines(shelf.designs);
  const { getRootProps, getInputProps, open, isDragActive } = useFileDrop({
    takes: 'a drawing or picture of a design',
    onFiles: ([dropped]) => setFile(dropped),
  });
  const keep = async (design: Design) => {
    const from = edited?.id === design.id ? edited : undefined;
    const undo = await keepRow(db.designs, design, from);
    setFile(undefined);
    setEdited(undefined);
    notify({
      text: from ? `${design.name} is changed.` : `${design.name} is among the designs.`,
      undo: () => void (undo ? undo() : remove(design)),
    });
  };
  const remove = useOnce(async (design: Design) => {
    try {
      await removeDesign(db, design.id);
      notify({ text: `${design.name} is gone.`, undo: () => void keepRow(db.designs, design) });
    } catch (error) {
      if (!(error instanceof InUse)) throw error;
      notify({
        text: `${design.name} stays: it is used in ${error.by.join(', ')}. Give these another design first.`,
      });
    }
  });
  const listed = shelf.designs.filter(({ use }) => shown === 'all' || use === shown);
  return (
    <main className="flex min-h-0 flex-1 flex-col">
      <div {...getRootProps()} className="flex min-h-0 flex-1 flex-col">
        <PageHeader title="Designs">
          <Segmented<Shown>
            label="Which designs"
            value={shown}
            onChange={setShown}
            options={[
              { value: 'all', label: `All, ${shelf.designs.length}` },
              { value: 'image', label: 'Images' },
              { value: 'pattern', label: 'Patterns' },
              { value: 'edge', label: 'Edges' },
            ]}
          />
          <Segmented<As> label="How they are seen" value={as} onChange={setAs} options={AS_OPTIONS} />
          <span className="ml-auto text-mute max-md:hidden">
            {isDragActive ? 'Drop it here' : 'Drop an SVG or PNG, or'}
          </span>
          <input {...getInputProps({ 'aria-label': 'Design file' })} />
          <Button look="strong" className="max-md:ml-auto" onClick={open}>
            Open a design
          </Button>
        </PageHeader>
        {as === 'list' ? (
          <DesignTable designs={listed} finest={finest} unit={unit} onEdit={setEdited} />
        ) : (
          <TileWall label="Designs" items={listed} tile={DESIGN_TILE} className="pt-2">
            {(design) => (
              <DesignTile
                design={design}
                finest={finest.get(design.id)}
                unit={unit}
                {...(isOwnDesign(design.id) ? {} : { onEdit: setEdited, onRemove: remove })}
              />
            )}
          </TileWall>
        )}
      </div>
      {file && (
        <DesignImport
          key={file.name}
          file={file}
          unit={unit}
          onKeep={keep}
          onClose={() => setFile(undefined)}
        />
      )}
      {edited && (
        <DesignForm
          title={`Change ${edited.name}`}
          design={edited}
          unit={unit}
          onKeep={keep}
          onClose={() => setEdited(undefined)}
        />
      )}
    </main>
  );
}
