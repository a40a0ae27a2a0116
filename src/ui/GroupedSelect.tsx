interface Option {
  readonly id: string;
  readonly name: string;
}

interface Props {
  readonly label: string;
  readonly value: string;
  readonly groups: readonly { readonly label: string; readonly options: readonly Option[] }[];
  /** What stands first when nothing is chosen; left out, something always is. */
  readonly none?: string | undefined;
  readonly onChange: (id: string) => void;
}

/** One of many, in groups. */
export const GroupedSelect = ({ label, value, groups, none, onChange }: Props) => (
  <select
    aria-label={label}
    value={value}
    onChange={({ target }) => onChange(target.value)}
    className="frame min-h-7 w-full min-w-0 px-1 py-0.5"
  >
    {none !== undefined && <option value="">{none}</option>}
    {groups.map((group) => (
      <optgroup key={group.label} label={group.label}>
        {group.options.map(({ id, name }) => (
          <option key={id} value={id}>
            {name}
          </option>
        ))}
      </optgroup>
    ))}
  </select>
);
