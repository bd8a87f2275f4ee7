import {
  Input,
  type InputProps,
  Label,
  TextArea,
  TextField,
  type TextFieldProps,
} from 'react-aria-components';
import styled from 'styled-components';
import { touch } from '../media.ts';

const Field = styled(TextField)`
  display: grid;
  gap: 3px;
  padding: 5px 0;
  font-size: var(--size-text);
  input,
  textarea {
    width: 100%;
    min-height: 34px;
    padding: 6px 10px;
    border: 1px solid var(--line);
    border-radius: 8px;
    background: var(--field);
    font: inherit;
    font-size: var(--size-read);
  }
  textarea {
    min-height: 84px;
    resize: vertical;
  }
  ${touch} {
    input {
      min-height: var(--finger);
    }
  }
`;

interface WordsFieldProps extends Pick<
  TextFieldProps,
  'value' | 'onChange' | 'onBlur' | 'maxLength' | 'autoFocus' | 'isDisabled'
> {
  readonly label: string;
  /** Several lines. */
  readonly long?: boolean;
  readonly placeholder?: string;
  readonly inputMode?: InputProps['inputMode'];
  /** Id of a list of suggestions. */
  readonly list?: string;
}

/** Words of the maker's own, their label above them. */
export function WordsField({
  label,
  long = false,
  placeholder = '',
  inputMode,
  list,
  ...field
}: WordsFieldProps) {
  const box = { ...(inputMode && { inputMode }), ...(list !== undefined && { list }) };
  return (
    <Field {...field}>
      <Label>{label}</Label>
      {long ? (
        <TextArea placeholder={placeholder} />
      ) : (
        <Input autoComplete="off" placeholder={placeholder} {...box} />
      )}
    </Field>
  );
}
