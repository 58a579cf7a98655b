import type { Finding } from '../types';

export interface FindingGroup {
    name: string;
    findings: Finding[];
}

/** Findings under the groups that they name, in the core's order; a group that is not among those known comes last, and is shown all the same. */
export function groupsOf(findings: Finding[], known: string[]): FindingGroup[] {
    const names = [...known, ...new Set(findings.map((finding) => finding.group).filter((group) => !known.includes(group)))];
    return names
        .map((group) => ({ name: `${group.charAt(0).toUpperCase()}${group.slice(1)}`, findings: findings.filter((finding) => finding.group === group) }))
        .filter((group) => group.findings.length > 0);
}
