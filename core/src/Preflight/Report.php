<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

final readonly class Report
{
    /** @param  list<Finding>  $findings */
    public function __construct(public array $findings) {}

    public function verdict(): Verdict
    {
        return array_reduce($this->findings, fn (Verdict $worst, Finding $f): Verdict => $f->counts() ? $worst->worst($f->verdict) : $worst, Verdict::Pass);
    }

    public function finding(string $key): ?Finding
    {
        foreach ($this->findings as $finding) {
            if ($finding->key === $key) {
                return $finding;
            }
        }

        return null;
    }

    /** @return array{verdict: string, findings: list<array<string, mixed>>} */
    public function toArray(): array
    {
        return ['verdict' => $this->verdict()->value, 'findings' => array_map(fn (Finding $f): array => $f->toArray(), $this->findings)];
    }
}
