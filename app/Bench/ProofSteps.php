<?php

declare(strict_types=1);

namespace App\Bench;

use App\Http\Answers\DrawingStep;
use App\Models\Revision;
use App\Upkeep\Metrics;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\Log;
use TallCrow\Render\Progress;

/** Records the progress of a proof that takes long enough for the interface to ask for it. */
final class ProofSteps implements Progress
{
    /** Seconds within which most proofs are ready; until then nothing is recorded. */
    private const SOON = 0.25;

    /** Seconds after which a record expires, in case the drawing process died. */
    private const STALE = 60;

    /** Proofs that take more seconds than this are logged. */
    private const SLOW = 2.0;

    private float $begun;

    /** Current state: number and name of the layer, number of layers, the current retouching step, and the fraction done. */
    private int $layer = 0;

    private int $layers = 1;

    private string $name = '';

    private float $done = 0.0;

    private bool $written = false;

    private function __construct(private readonly string $key, private readonly int $revision, private readonly float $ppi, private readonly Waiting $waiting)
    {
        $this->begun = microtime(true);
    }

    public static function of(Revision $revision, float $ppi, bool $atBench): self
    {
        return new self(self::key($revision, $ppi), $revision->id, $ppi, Waiting::for($revision, $atBench));
    }

    /** The progress of a revision's proof; null if it is not being drawn or has only just begun. */
    public static function read(Revision $revision, float $ppi): ?DrawingStep
    {
        /** @var ?array{name: string, kind: string, done: float} $now */
        $now = Cache::get(self::key($revision, $ppi));

        return $now === null ? null : new DrawingStep($now['name'], $now['kind'], $now['done']);
    }

    public function layer(int $number, int $of, string $name): void
    {
        $this->waiting->goOn();
        [$this->layer, $this->layers, $this->name] = [$number, max(1, $of), $name];
        $this->write('', 0.0, microtime(true) - $this->begun > self::SOON);
    }

    public function line(int $number, int $of, string $kind): void
    {
        $this->waiting->goOn();
        // Retouching is done only once per picture and takes most of the time.
        $this->write($kind, $number / max(1, $of), true);
    }

    public function done(): void
    {
        $seconds = microtime(true) - $this->begun;
        Metrics::drew('proof', $seconds);
        if ($seconds > self::SLOW) {
            Log::info('A proof was slow.', ['revision' => $this->revision, 'ppi' => $this->ppi, 'seconds' => round($seconds, 2)]);
        }
        if ($this->written) {
            Cache::forget($this->key);
        }
    }

    private function write(string $kind, float $ofLayer, bool $asked): void
    {
        // Groups also report their child layers: progress must never decrease.
        $this->done = max($this->done, ($this->layer + $ofLayer) / $this->layers);
        if ($asked) {
            Cache::put($this->key, ['name' => $this->name, 'kind' => $kind, 'done' => round($this->done, 3)], self::STALE);
            $this->written = true;
        }
    }

    private static function key(Revision $revision, float $ppi): string
    {
        return sprintf('proof %d %.2f', $revision->id, $ppi);
    }
}
