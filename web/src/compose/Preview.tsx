import type { Schemas } from '../api/client';
import { useWords } from '../field/boxes';

/** How a visit will ask it, in short. */
export function Preview({ description }: { description: Schemas['ProtocolDescription'] }) {
  const kindName = useWords('composed.kind');
  return (
    <>
      <h3 className="text-xl">{description.title}</h3>
      <p className="text-dim text-sm">{description.purpose}</p>
      <ol className="mt-2 list-decimal pl-5">
        {description.steps.map((step) => (
          <li key={step.code} className="mt-1.5">
            {step.do} {step.repeat && <b>For each {description.repeats.find(({ code }) => code === step.repeat)?.label}. </b>}
            <span className="text-dim text-sm">{step.why}</span>
            {step.cautions.length > 0 && <span className="block text-madder text-sm">{step.cautions.join(' ')}</span>}
            <ul className="text-sm">
              {step.fields.map((field) => (
                <li key={field.code}>
                  {field.label}
                  <span className="text-dim">, {field.units?.map(({ code }) => code).join(' or ') ?? kindName(field.kind)}</span>
                </li>
              ))}
            </ul>
          </li>
        ))}
      </ol>
    </>
  );
}
