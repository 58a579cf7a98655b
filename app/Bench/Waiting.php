<?php

declare(strict_types=1);

namespace App\Bench;

use App\Models\PrintJob;
use App\Models\Revision;

/**
 * Whether the bench still waits for what is drawn of a revision. PHP is not told when a browser goes away before anything was sent, so it is asked of
 * the job: once another revision is its head, the bench shows that one.
 */
final class Waiting
{
    /** Seconds from one look to the next. */
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
