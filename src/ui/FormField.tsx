import type { ComponentProps, ReactNode } from 'react';

interface Props {
  readonly label: string;
  /** Id of the control inside. */
  readonly name: string;
  /** What is wrong with what is typed. */
  readonly problem?: string | undefined;
  readonly children: ReactNode;
}

/** How a control of a form looks. */
export const FIELD = 'frame min-h-8 w-full px-2 py-1';

/** A control of a form with its label and what is wrong with it. */
export function FormField({ label, name, problem, children }: Props) {
  return (
    <div>
      <label htmlFor={name} className="mb-0.5 block font-semibold">
        {label}
      </label>
      {children}
      {problem && (
        <p role="alert" className="mt-1 border-l-2 border-text pl-2">
          {problem}
        </p>
      )}
    </div>
  );
}

interface InputProps extends ComponentProps<'input'> {
  readonly label: string;
  readonly name: string;
  readonly problem?: string | undefined;
}

/** What is typed in one line, with its label and what is wrong with it; takes what `register` gives. */
export const FormInput = ({ label, name, problem, ...input }: InputProps) => (
  <FormField label={label} name={name} problem={problem}>
    <input id={name} name={name} autoComplete="off" className={`${FIELD} placeholder:text-mute`} {...input} />
  </FormField>
);
