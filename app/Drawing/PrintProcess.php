<?php

declare(strict_types=1);

namespace App\Drawing;

use App\Bench\Studio;
use App\Files\ShopFiles;
use App\Models\Export;
use App\Models\HouseRecord;
use App\Sending\Destination;
use Symfony\Component\Process\Process;
use TallCrow\House\Fitting;
use TallCrow\Series\PatternInvalid;

/**
 * Makes a print file in a separate process with hard limits of time and memory, and ends it within a fifth of a
 * second when cancelled. The process also ends with its parent.
 */
final class PrintProcess
{
    private const LOOK = 100_000;

    private const NO_MEMORY = '/creating thread|could be made$|out of memory|cannot allocate|Pictures cannot be drawn/mi';

    private string $unread = '';

    private string $layer = '';

    /** @var ?array<string, mixed> */
    private ?array $figures = null;

    public function __construct(private readonly Export $export) {}

    /**
     * @param  callable(array<string, mixed>): void  $step  told of each step
     * @param  callable(): bool  $wanted  asked several times a second; when it says no, the process is ended
     * @return array<string, mixed> figures of the finished file
     *
     * @throws PrintStopped|PrintRefused
     */
    public function run(callable $step, callable $wanted): array
    {
        $scratch = $this->export->scratch();
        is_dir($scratch) || mkdir($scratch, 0o700, true);
        $sheet = "$scratch/sheet.json";
        $to = $this->destination();
        file_put_contents($sheet, $this->fitted($to)) !== false || throw PrintStopped::noRoom();
        // The process ends after one file, so compiling code at its start (JIT) would not pay off.
        $process = new Process($this->export->isListing() ? $this->listing($sheet) : [
            'setpriv', '--pdeathsig', 'KILL', 'prlimit', '--as='.(self::setting('memory_mb') * 1_000_000),
            PHP_BINARY, '-d', 'ffi.enable=true', '-d', 'opcache.enable_cli=0', base_path('bin/crow'), 'print', $sheet,
            '--shelf', ShopFiles::of($this->export->shop)->shelf(), '--out', $this->export->path(), '--scratch', "$scratch/pictures", '--materials', config()->string('crow.materials'), ...($this->export->batch === '' ? [] : ['--pieces', $this->export->shared()]),
            '--area', $this->area($to), ...$this->form($to), ...$this->house($to, $scratch),
        ], timeout: null);
        $ends = microtime(true) + self::setting('print_seconds');
        $process->start();
        try {
            while ($process->isRunning()) {
                usleep(self::LOOK);
                $this->hear($process->getIncrementalOutput(), $step);
                if (! $wanted()) {
                    throw PrintStopped::unwanted();
                }
                if (microtime(true) > $ends) {
                    throw PrintStopped::tooLong(self::setting('print_seconds'), $this->layer);
                }
            }
            $this->hear($process->getIncrementalOutput(), $step);
        } finally {
            $process->stop(0, SIGKILL);
        }
        // These messages all mean that the memory limit was reached.
        if (preg_match(self::NO_MEMORY, $process->getErrorOutput()) === 1) {
            throw PrintStopped::died($this->layer);
        }
        if ($process->getExitCode() === 2) {
            throw new PrintRefused((string) preg_replace('/^crow: /', '', trim($process->getErrorOutput())));
        }

        return $this->figures ?? throw PrintStopped::died($this->layer);
    }

    /** @throws PrintRefused if its house was deleted */
    private function destination(): ?Destination
    {
        $told = $this->export->destination;
        if ($told === null) {
            return null;
        }
        $record = HouseRecord::query()->where('shop_id', $this->export->shop_id)->find($told['house']);

        return ($record === null ? null : Destination::at($record, $told['place'], Fitting::told($told)))
            ?? throw new PrintRefused('The house that this file was for, or its place, is not known any more. Choose another in the brief, and send anew.');
    }

    /** @throws PrintRefused if its row was deleted or cannot be filled in */
    private function fitted(?Destination $to): string
    {
        if ($this->export->title !== '' && $this->export->row === null) {
            throw new PrintRefused('The row that this file was of is gone. Send the series anew.');
        }
        try {
            $sheet = $this->export->sheet();
        } catch (PatternInvalid $invalid) {
            throw new PrintRefused($invalid->getMessage());
        }

        return json_encode(($to === null ? $sheet : $to->fit($sheet, Studio::of($this->export->shop)->renderer)->artwork)->toArray(), JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES);
    }

    /** @return list<string> that draw it on a garment */
    private function listing(string $sheet): array
    {
        $form = $this->export->form;

        return [
            'setpriv', '--pdeathsig', 'KILL', 'prlimit', '--as='.(self::setting('memory_mb') * 1_000_000), PHP_BINARY, '-d', 'ffi.enable=true', '-d', 'opcache.enable_cli=0', base_path('bin/crow'), 'listing', $sheet, '--told', 'yes', '--materials', config()->string('crow.materials'),
            '--shelf', ShopFiles::of($this->export->shop)->shelf(), '--out', $this->export->path(), '--on', $form['cloth'] ?? '#8f8a80', '--scene', $form['scene'] ?? 'plain', '--seed', (string) ($form['seed'] ?? 1),
        ];
    }

    /** @return list<string> */
    private function form(?Destination $to): array
    {
        $asked = $this->export->form;
        $form = $to?->form();
        $words = ['--kind', $form->kind->value ?? $asked['kind'] ?? 'png', '--mirrored', ($form->mirrored ?? false) ? 'yes' : 'no', '--fewer-colours', ($asked['fewerColours'] ?? false) ? 'yes' : 'no'];

        return [...$words, ...($form?->mostBytes === null ? [] : ['--most-bytes', (string) $form->mostBytes]), ...(($asked['cut'] ?? null) === null ? [] : ['--cut', (string) $asked['cut']])];
    }

    /** @return list<string> */
    private function house(?Destination $to, string $scratch): array
    {
        if ($to === null) {
            return [];
        }
        file_put_contents("$scratch/house.json", json_encode($to->house->toArray(), JSON_THROW_ON_ERROR)) !== false || throw PrintStopped::noRoom();

        return ['--house', "$scratch/house.json", '--place', $to->place->key()];
    }

    private function area(?Destination $to): string
    {
        $area = $to->place->area ?? $this->export->job->area();

        return "$area->width,$area->height,{$area->ppi->value},$area->name";
    }

    /** @param  callable(array<string, mixed>): void  $step */
    private function hear(string $said, callable $step): void
    {
        $lines = explode("\n", $this->unread.$said);
        $this->unread = (string) array_pop($lines);
        foreach ($lines as $line) {
            /** @var ?array<string, mixed> $told */
            $told = json_decode($line, true);
            if (is_array($told['done'] ?? null)) {
                /** @var array<string, mixed> $figures */
                $figures = $told['done'];
                $this->figures = $figures;
            } elseif ($told !== null) {
                $this->layer = is_string($told['name'] ?? null) ? $told['name'] : $this->layer;
                $step($told);
            }
        }
    }

    private static function setting(string $name): int
    {
        $value = config("crow.limits.$name");

        return is_numeric($value) ? (int) $value : throw new \LogicException("config/crow.php has no limits.$name.");
    }
}
