import { jobOfSetUp, judgeJob, type Catalogue, type SetUp, type Severity } from '@gewinde/core';

export { ordinary, type SetUp, type SetUpLine } from '@gewinde/core';

/** All that is said in red of the judged line of a set-up: it will not do; and what is said in amber. */
export function judged(setUp: SetUp, catalogue: Catalogue): { readonly red: string[]; readonly amber: string[] } {
  const { lines } = judgeJob(jobOfSetUp(setUp, catalogue), catalogue);
  const { findings } = lines[setUp.judged ?? lines.length - 1]!;
  const said = (severity: Severity, but: readonly string[] = []): string[] =>
    findings.filter((f) => f.severity === severity && !but.includes(f.rule)).map((f) => `${f.rule}: ${f.message}`);
  return { red: said('leak'), amber: [...said('risk'), ...said('advice'), ...said('open', ['joints-not-made'])] };
}
