<?php

declare(strict_types=1);

namespace App\Bench;

use App\Models\Export;
use App\Models\ExportState;
use TallCrow\Export\ExportStage;

/** Records an export's progress and heartbeat, and checks whether it was cancelled. */
final class ExportSteps
{
    /** Percentages of the progress bar, as measured on full sheets with a dozen layers. */
    private const LAYERS_TO = 50;

    private const WRITE_TO = 75;

    /** Seconds between checks for cancellation. */
    private const LOOK = 0.4;

    /** Seconds between heartbeats. */
    public const BEAT = 2.5;

    private float $looked = 0.0;

    private float $beaten = 0.0;

    public function __construct(private readonly Export $export) {}

    /** @param  array<string, mixed>  $told  a line of `crow print` */
    public function step(array $told): void
    {
        if (is_int($told['layer'] ?? null) && is_int($told['of'] ?? null)) {
            $this->write(ExportStage::Layers->value, (int) (self::LAYERS_TO * $told['layer'] / max(1, $told['of'])));
        } elseif (is_string($told['stage'] ?? null)) {
            $this->write($told['stage'], match (ExportStage::tryFrom($told['stage'])) {
                ExportStage::Write => self::LAYERS_TO,
                ExportStage::Check => self::WRITE_TO,
                default => 0,
            });
        }
    }

    public function isWanted(): bool
    {
        $now = microtime(true);
        if ($now - $this->looked < self::LOOK) {
            return true;
        }
        $this->looked = $now;
        if ($now - $this->beaten > self::BEAT) {
            $this->beaten = $now;
            Export::query()->whereKey($this->export->id)->update(['beat_at' => now()]);
        }

        return Export::query()->whereKey($this->export->id)->value('state') === ExportState::Running;
    }

    private function write(string $stage, int $progress): void
    {
        // Groups also report their child layers: progress must never decrease.
        if ($progress > $this->export->progress || $stage !== $this->export->stage) {
            $this->export->update(['stage' => $stage, 'progress' => max($progress, $this->export->progress)]);
        }
    }
}
