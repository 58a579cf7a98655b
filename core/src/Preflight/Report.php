<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

use TallCrow\Artwork\ArtworkInvalid;
use TallCrow\Artwork\Faults;
use TallCrow\Artwork\Node;

final readonly class Report
{
    /** Most findings of one report. */
    private const MOST = 10_000;

    /** @param  list<Finding>  $findings */
    public function __construct(public array $findings) {}

    /**
     * Reads the decoded JSON of toArray().
     *
     * @throws ArtworkInvalid
     */
    public static function read(mixed $data): self
    {
        $faults = new Faults;
        $node = Node::root($data, $faults);
        // Without this key an incomplete report would read as "all passed".
        $node->has('findings') || $node->fault('is missing', 'findings');
        $findings = array_map(Finding::read(...), $node->items('findings', self::MOST));
        $faults->settle();

        return new self($findings);
    }

    public function verdict(): Verdict
    {
        return array_reduce($this->findings, fn (Verdict $worst, Finding $f): Verdict => $f->counts() ? $worst->worst($f->verdict) : $worst, Verdict::Pass);
    }

    /** Whether every layer of the sheet could be drawn. */
    public function isWhole(): bool
    {
        return array_filter($this->findings, fn (Finding $finding): bool => str_starts_with($finding->key, Preflight::TROUBLE)) === [];
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
