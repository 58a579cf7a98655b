<?php

declare(strict_types=1);

namespace App\Bench;

use App\Models\Export;
use App\Models\ExportState;
use TallCrow\Export\ExportProgress;
use TallCrow\Export\ExportStage;

/** Writes down how far an export is, and ends it when its seller asked for that. */
final readonly class ExportSteps implements ExportProgress
{
    /** Shares of the whole, as measured on full sheets of a dozen layers. */
    private const LAYERS_TO = 50;

    private const WRITE_TO = 75;

    public function __construct(private Export $export) {}

    public function layer(int $number, int $of, string $name): void
    {
        $this->step('layers', (int) (self::LAYERS_TO * $number / max(1, $of)));
    }

    public function line(int $number, int $of, string $kind): void
    {
        $this->step('layers', $this->export->progress);
    }

    public function stage(ExportStage $stage): void
    {
        $this->step($stage->value, match ($stage) {
            ExportStage::Layers => 0,
            ExportStage::Write => self::LAYERS_TO,
            ExportStage::Check => self::WRITE_TO,
        });
    }

    private function step(string $stage, int $progress): void
    {
        $state = Export::query()->whereKey($this->export->id)->value('state');
        if ($state === null || $state === ExportState::Cancelling) {
            throw new ExportCancelled('The seller cancelled this export.');
        }
        // Groups tell of their own layers too: the bar never goes back.
        if ($progress >= $this->export->progress || $stage !== $this->export->stage) {
            $this->export->update(['stage' => $stage, 'progress' => max($progress, $this->export->progress)]);
        }
    }
}
