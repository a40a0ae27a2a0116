interface Props {
  /** What is searched, for whoever does not see the field. */
  readonly label: string;
  /** What may be typed. */
  readonly hint: string;
  readonly value: string;
  readonly onChange: (text: string) => void;
}

/** The field over a list that narrows it down to what holds the words typed. */
export const SearchField = ({ label, hint, value, onChange }: Props) => (
  <input
    type="search"
    aria-label={label}
    placeholder={hint}
    value={value}
    onChange={({ target }) => onChange(target.value)}
    className="frame min-h-8 w-64 px-2 placeholder:text-mute max-sm:w-full"
  />
);
