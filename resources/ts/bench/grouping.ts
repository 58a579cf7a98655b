import type { Finding } from '../types';

export interface FindingGroup {
    name: string;
    findings: Finding[];
}

/** Groups findings in the core's order; unknown groups come last. */
export function groupsOf(findings: Finding[], known: string[]): FindingGroup[] {
    const names = [...known, ...new Set(findings.map((finding) => finding.group).filter((group) => !known.includes(group)))];
    return names
        .map((group) => ({ name: `${group.charAt(0).toUpperCase()}${group.slice(1)}`, findings: findings.filter((finding) => finding.group === group) }))
        .filter((group) => group.findings.length > 0);
}
