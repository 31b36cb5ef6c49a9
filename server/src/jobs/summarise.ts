import { holds, judgeJob, type Catalogue, type JobDocument, type JobSummary, type JudgingSchools } from '@gewinde/core';

/** Where a job stands: what seals, what leaks, what comes next. */
export function summarise(document: JobDocument, catalogue: Catalogue, schools: JudgingSchools): JobSummary {
  const { lines, findings } = judgeJob(document, catalogue, undefined, schools);
  const [worst] = findings.filter(holds);
  const leaking = lines.filter((l) => l.state === 'leaks');
  const open = lines.filter((l) => l.state === 'open');
  const unchecked = lines.filter((l) => l.state === 'seals');
  const names = (list: typeof lines): string => list.map((l) => `L${l.line.number}`).join(', ');
  const where = (lineId: string | undefined): string => {
    const line = lines.find((l) => l.line.id === lineId);
    return line ? `L${line.line.number}: ` : '';
  };
  const next =
    document.ports.length < 2
      ? 'Survey the ports'
      : lines.length === 0
        ? 'Draw the first line'
        : leaking.length > 0
          ? `Put ${names(leaking)} right`
          : open.length > 0
            ? `Finish ${names(open)}`
            : unchecked.length > 0
              ? `Check ${names(unchecked)}`
              : 'Cut the hoses and order the parts';
  return {
    job: document.job,
    components: document.components.length,
    ports: document.ports.length,
    lines: lines.length,
    linesThatSeal: lines.filter((l) => l.state === 'seals' || l.state === 'checked').length,
    linesChecked: lines.filter((l) => l.state === 'checked').length,
    linesThatLeak: leaking.length,
    ...(worst ? { blockedBy: `${where(worst.at.lineId)}${worst.message}` } : {}),
    next,
  };
}

/** A job whose rows do not hold together: it is shown as such, and stands in nobody's way. */
export function unsoundSummary({ job, components, ports, lines }: JobDocument, error: unknown): JobSummary {
  return {
    job,
    components: components.length,
    ports: ports.length,
    lines: lines.length,
    linesThatSeal: 0,
    linesChecked: 0,
    linesThatLeak: 0,
    unsound: (error as Error).message,
    next: 'Put its rows right, or restore a backup',
  };
}
