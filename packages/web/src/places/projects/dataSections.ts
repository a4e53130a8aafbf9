import type { Office } from '@mendrel/contract';
import type { Design, OfficeStandard, Parameter } from '@mendrel/core';
import { placesUsing } from '@mendrel/core';
import { enteredFor, enteredForProject } from '../../app/valueFields';
import type { ValuesSection } from '../../app/ValuesForm';

/** The office's values that a project may have of its own, each with what the office says. */
const insteadOfOffice = (standard: OfficeStandard, { values, replaceable }: Office): Parameter[] =>
  enteredFor('office', standard)
    .filter(({ key }) => replaceable.includes(key))
    .map((parameter) => ({
      ...parameter,
      required: false,
      hint: `Empty: the office’s, ${values[parameter.key] || 'which is empty'}`,
    }));

/** What is entered for a project: first what its designs show, then the rest, then what may stand in place of the office's. */
export function dataSections(
  standard: OfficeStandard,
  office: Office,
  designs: readonly Design[] | undefined,
): ValuesSection[] {
  const all = enteredForProject(standard);
  const shows = ({ key }: Parameter): boolean => (designs ?? []).some((design) => placesUsing(design, key) > 0);
  const instead = { title: 'Instead of the office’s', fields: insteadOfOffice(standard, office) };
  const others = all.filter((parameter) => !shows(parameter));
  // Without a design, or where it shows everything, there is nothing to tell apart.
  if (others.length === 0 || others.length === all.length) return [{ fields: all }, instead];
  return [
    { title: 'Shown by its designs', fields: all.filter(shows) },
    { title: 'Shown by none of its designs', fields: others },
    instead,
  ];
}
