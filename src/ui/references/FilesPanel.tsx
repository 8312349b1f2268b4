/** What a prepared picture is taken out as: sheets to print, pictures, outlines, layers. */
import { UsesList } from '../plan/UsesList';

interface Props {
  readonly referenceId: string;
  readonly classes: readonly { readonly id: string; readonly name: string }[];
  readonly uses: readonly { readonly id: string; readonly title: string; readonly className: string }[];
  /** Whether something is changed and not kept yet. */
  readonly unkept: boolean;
  readonly drop: () => void;
}

const FILES = [
  ['grey', 'Grey, as paint reaches it (PNG)'],
  ['squinted', 'Squinted (PNG)'],
  ['tones', 'In its tones (PNG)'],
  ['map', 'Light and shadow (PNG)'],
  ['traced', 'Traced outlines (SVG)'],
  ['layers', 'A layer a tone (OpenRaster)'],
] as const;

export function FilesPanel({ referenceId, classes, uses, unkept, drop }: Props) {
  return (
    <div className="grid gap-3">
      {unkept && <p className="trouble">These are made from what was kept: keep your changes first.</p>}
      <div>
        <h2 className="label">Sheets to print</h2>
        <ul className="grid gap-1">
          {classes.map((c) => (
            <li key={c.id}>
              <a className="calm w-full" href={`/reference-file/${referenceId}/sheets?class=${c.id}`}>
                With the numbers of {c.name}
              </a>
            </li>
          ))}
        </ul>
      </div>
      <div>
        <h2 className="label">Files</h2>
        <ul>
          <li>
            <a className="inline-block min-h-8 underline" href={`/prepared/${referenceId}`}>
              As it was prepared, to bring in elsewhere (ZIP)
            </a>
          </li>
          {FILES.map(([what, words]) => (
            <li key={what}>
              <a className="inline-block min-h-8 underline" href={`/reference-file/${referenceId}/${what}`} download>
                {words}
              </a>
            </li>
          ))}
        </ul>
      </div>
      <UsesList
        uses={uses}
        what="picture"
        gone="The picture and how it was prepared are deleted for good."
        drop={drop}
      />
    </div>
  );
}
