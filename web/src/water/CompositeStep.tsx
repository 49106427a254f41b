import { FillList } from '../bottles/FillList';
import { NextButton } from '../ui/NextButton';
import { Worked } from '../ui/Worked';
import { FindingsBeside } from './findings';
import { HandSum } from './HandSum';
import { after, onTo } from './steps';
import { Tries } from './Tries';
import type { StepProps } from './VisitPage';

/** How deep to take the composite. */
export function CompositeStep({ sheet, onStep }: StepProps) {
  const { composite } = sheet;
  const pour = sheet.bottles?.places.find(({ place }) => place === 'composite');
  const to = after(sheet, 'composite');
  const done = sheet.steps.find(({ name }) => name === 'composite')?.state === 'done';
  return (
    <>
      <h2 className="text-2xl">Composite</h2>
      {composite.text ? (
        <>
          <p className="mt-4">Mark {sheet.line ? `line ${sheet.line.code}` : 'the line'} at</p>
          <p>
            <Worked working={composite.working} className="font-bold text-5xl">
              {composite.text}
            </Worked>
          </p>
          <dl className="mt-4 grid max-w-md grid-cols-[1fr_auto] gap-x-4 border-rule border-t">
            {composite.layerText && (
              <>
                <dt className="border-rule border-b py-1.5">{composite.layerWorking?.title}</dt>
                <dd className="border-rule border-b py-1.5 text-right">
                  <Worked working={composite.layerWorking}>{composite.layerText}</Worked>
                </dd>
              </>
            )}
            <dt className="border-rule border-b py-1.5">Sounding less the clearance</dt>
            <dd className="border-rule border-b py-1.5 text-right">
              <Worked working={composite.working}>{composite.limitText}</Worked>
            </dd>
          </dl>
          {composite.layerText && <HandSum sheet={sheet} sum="layer" label={`${composite.layerWorking?.title} on the sheet`} />}
          <HandSum sheet={sheet} sum="composite" label="Depth on the sheet" />
          <h3 className="caps mt-6">How</h3>
          <ol className="mt-1 max-w-prose list-decimal space-y-1 pl-5">
            {composite.how.map((line) => (
              <li key={line}>{line}</li>
            ))}
          </ol>
          {pour && <Tries sheet={sheet} />}
          {pour && sheet.tries.good && <FillList sheet={sheet} place={pour} />}
          <FindingsBeside sheet={sheet} beside="composite" />
        </>
      ) : (
        <>
          <p className="mt-2 text-dim">Its depth comes from the sounding and the clarity.</p>
          {composite.findings.map((finding) => (
            <p key={finding.code} className="mt-3 border border-rule bg-sheet p-3.5">
              <b>{finding.seen}</b> {finding.why} {finding.act}
            </p>
          ))}
        </>
      )}
      {sheet.state !== 'closed' && (!pour || done || !composite.text) && (
        <NextButton onClick={() => onStep(composite.text ? to : sheet.sounding ? 'clarity' : 'sounding')}>
          {composite.text ? onTo(sheet, to) : sheet.sounding ? 'Read the clarity' : 'Sound first'}
        </NextButton>
      )}
    </>
  );
}
