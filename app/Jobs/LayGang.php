<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Files\ShopFiles;
use App\Models\ExportState;
use App\Models\Gang;
use App\Models\Revision;
use App\Sending\FileLog;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Log;
use Symfony\Component\Process\Process;

/** Draws the film of a gang sheet in a separate process with limits of time and memory; restarted if its worker died. */
final class LayGang implements ShouldQueue
{
    use Queueable;

    private const LOOK = 200_000;

    public int $tries = 3;

    public int $timeout = 0;

    public function __construct(private readonly int $gang) {}

    public function handle(): void
    {
        $gang = Gang::query()->with('shop')->find($this->gang);
        if ($gang === null || $gang->state->isOver()) {
            return;
        }
        $scratch = $gang->shop->folder('scratch')."/gang-$gang->id";
        File::ensureDirectoryExists($scratch, 0o700);
        try {
            $gang->update(['state' => ExportState::Running, 'progress' => 0]);
            $process = $this->process($gang, $scratch);
            $process->start();
            [$unread, $done, $ends] = ['', null, microtime(true) + $this->setting('print_seconds') * count($gang->asked['pieces'])];
            while ($process->isRunning()) {
                usleep(self::LOOK);
                $done = $this->hear($gang, $unread, $process->getIncrementalOutput()) ?? $done;
                if ($gang->newQuery()->whereKey($gang->id)->value('state') === ExportState::Cancelling || microtime(true) > $ends) {
                    $process->stop(0, SIGKILL);
                    $this->end($gang, microtime(true) > $ends ? ExportState::Failed : ExportState::Cancelled, microtime(true) > $ends ? 'It took too long. Lay fewer designs at once.' : '');

                    return;
                }
            }
            $done = $this->hear($gang, $unread, $process->getIncrementalOutput()) ?? $done;
            if ($done === null) {
                $this->end($gang, ExportState::Failed, $process->getExitCode() === 2 ? (string) preg_replace('/^crow: /', '', trim($process->getErrorOutput())) : 'The film could not be drawn. Try again with fewer designs.');

                return;
            }
            $gang->update(['state' => ExportState::Done, 'stage' => 'done', 'progress' => 100, 'made' => $done]);
            FileLog::laid($gang);
        } finally {
            File::deleteDirectory($scratch);
        }
    }

    public function failed(?\Throwable $reason): void
    {
        Log::error('A gang sheet failed.', ['gang' => $this->gang, 'reason' => $reason === null ? 'ended from outside' : $reason::class]);
        Gang::query()->whereKey($this->gang)->update(['state' => ExportState::Failed, 'trouble' => 'The film broke off. Lay it again.']);
    }

    private function process(Gang $gang, string $scratch): Process
    {
        $pieces = [];
        foreach ($gang->asked['pieces'] as $i => $piece) {
            $sheet = "$scratch/sheet-$i.json";
            file_put_contents($sheet, Revision::query()->where('shop_id', $gang->shop_id)->findOrFail($piece['revision'])->artwork);
            $pieces[] = ['sheet' => $sheet, 'name' => $piece['title'], 'width' => $piece['width'], 'count' => $piece['count'], 'turns' => $piece['turns']];
        }
        file_put_contents("$scratch/list.json", json_encode(['film' => $gang->asked['film'], 'ppi' => 300, 'mirrored' => $gang->asked['mirrored'], 'marks' => $gang->asked['marks'], 'pieces' => $pieces], JSON_THROW_ON_ERROR));

        return new Process([
            'setpriv', '--pdeathsig', 'KILL', 'prlimit', '--as='.($this->setting('memory_mb') * 1_000_000), PHP_BINARY, '-d', 'ffi.enable=true', base_path('bin/crow'), 'gang', "$scratch/list.json",
            '--out', $gang->folder(), '--scratch', "$scratch/pictures", '--shelf', ShopFiles::of($gang->shop)->shelf(),
        ], timeout: null);
    }

    /** @return ?array<mixed> what was made, once it is */
    private function hear(Gang $gang, string &$unread, string $said): ?array
    {
        $lines = explode("\n", $unread.$said);
        $unread = (string) array_pop($lines);
        $done = null;
        foreach ($lines as $line) {
            $told = json_decode($line, true);
            if (! is_array($told)) {
                continue;
            }
            $done = is_array($told['done'] ?? null) ? $told['done'] : $done;
            if (is_int($told['of'] ?? null) && $told['of'] > 0) {
                $isPiece = is_int($told['piece'] ?? null);
                $at = $isPiece ? $told['piece'] - 1 : (is_int($told['sheet'] ?? null) ? $told['sheet'] - 1 : 0);
                $gang->update(['stage' => mb_substr($isPiece ? 'drawing '.(is_string($told['name'] ?? null) ? $told['name'] : '') : 'laying sheet '.($at + 1), 0, 200), 'progress' => (int) round(($isPiece ? 0 : 80) + ($isPiece ? 80 : 20) * $at / $told['of'])]);
            }
        }

        return $done;
    }

    private function end(Gang $gang, ExportState $state, string $trouble): void
    {
        File::deleteDirectory($gang->folder());
        $gang->update(['state' => $state, 'stage' => $state === ExportState::Failed ? 'failed' : 'cancelled', 'trouble' => mb_substr($trouble, 0, 500)]);
    }

    private function setting(string $name): int
    {
        $value = config("crow.limits.$name");
        assert(is_int($value));

        return $value;
    }
}
