<?php

declare(strict_types=1);

namespace App\Bench;

use App\Models\PrintJob;
use App\Models\Revision;

/**
 * Tells whether the bench still waits for the drawing of a revision. PHP does not notice a closed connection before it sends output, so the job is
 * checked instead: once another revision is current, the bench shows that one.
 */
final class Waiting
{
    /** Seconds between checks. */
    private const EVERY = 0.3;

    private float $looked;

    private function __construct(private readonly ?Revision $revision, private readonly float $every)
    {
        $this->looked = microtime(true);
    }

    /** @param  bool  $atBench  else it is wanted whatever the head is, as beside other versions */
    public static function for(Revision $revision, bool $atBench, float $every = self::EVERY): self
    {
        return new self($atBench ? $revision : null, $every);
    }

    /** @throws NobodyWaits */
    public function goOn(): void
    {
        if ($this->revision === null || microtime(true) - $this->looked < $this->every) {
            return;
        }
        $this->looked = microtime(true);
        if (PrintJob::query()->whereKey($this->revision->print_job_id)->where('head_id', $this->revision->id)->doesntExist()) {
            throw new NobodyWaits('The sheet was saved anew.');
        }
    }
}
