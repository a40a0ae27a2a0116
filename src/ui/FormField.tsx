import { type ComponentProps, createContext, type ReactNode, useContext } from 'react';

interface Props {
  readonly label: string;
  /** Id of the control inside. */
  readonly name: string;
  /** What is wrong with what is typed. */
  readonly problem?: string | undefined;
  readonly children: ReactNode;
}

const LOOK = 'frame min-h-8 w-full px-2 py-1';

/** What is told of the fault of the field around, by its id; empty where there is none. */
const FaultContext = createContext('');

/** Says to whoever cannot see it that a field is at fault, and what is wrong (WCAG 2.2, 3.3.1). */
function useFault(): Pick<ComponentProps<'input'>, 'aria-invalid' | 'aria-describedby'> {
  const fault = useContext(FaultContext);
  return fault ? { 'aria-invalid': true, 'aria-describedby': fault } : {};
}

/** A control of a form with its label and what is wrong with it. */
export function FormField({ label, name, problem, children }: Props) {
  const fault = `${name}-fault`;
  return (
    <div>
      <label htmlFor={name} className="mb-0.5 block font-semibold">
        {label}
      </label>
      <FaultContext value={problem ? fault : ''}>{children}</FaultContext>
      {problem && (
        <p id={fault} role="alert" className="mt-1 border-l-2 border-text pl-2">
          {problem}
        </p>
      )}
    </div>
  );
}

/** What is typed in one line of a `FormField`; takes what `register` gives. */
export const FieldInput = (input: ComponentProps<'input'> & { readonly name: string }) => (
  <input
    id={input.name}
    autoComplete="off"
    className={`${LOOK} placeholder:text-mute`}
    {...useFault()}
    {...input}
  />
);

/** What is typed in several lines of a `FormField`; takes what `register` gives. */
export const FieldText = (text: ComponentProps<'textarea'> & { readonly name: string }) => (
  <textarea id={text.name} className={LOOK} {...useFault()} {...text} />
);

interface InputProps extends ComponentProps<'input'> {
  readonly label: string;
  readonly name: string;
  readonly problem?: string | undefined;
}

/** What is typed in one line, with its label and what is wrong with it; takes what `register` gives. */
export const FormInput = ({ label, name, problem, ...input }: InputProps) => (
  <FormField label={label} name={name} problem={problem}>
    <FieldInput name={name} {...input} />
  </FormField>
);
