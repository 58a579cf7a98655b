<?php

declare(strict_types=1);

namespace TallCrow\Cli;

use TallCrow\Export\ExportProgress;
use TallCrow\Export\ExportStage;

/** Prints the steps of an export as JSON, one object per line. */
final readonly class PrintedProgress implements ExportProgress
{
    /** @param  resource  $out */
    public function __construct(private mixed $out) {}

    public function layer(int $number, int $of, string $name): void
    {
        self::say($this->out, ['layer' => $number, 'of' => $of, 'name' => $name]);
    }

    public function line(int $number, int $of, string $kind): void
    {
        self::say($this->out, ['line' => $number, 'of' => $of, 'kind' => $kind]);
    }

    public function stage(ExportStage $stage): void
    {
        self::say($this->out, ['stage' => $stage->value]);
    }

    /**
     * @param  resource  $out
     * @param  array<string, mixed>  $step
     */
    public static function say(mixed $out, array $step): void
    {
        fwrite($out, json_encode($step, JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_INVALID_UTF8_SUBSTITUTE | JSON_THROW_ON_ERROR)."\n");
        fflush($out);
    }
}
