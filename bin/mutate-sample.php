<?php

declare(strict_types=1);

/**
 * Tries some changes of a part of the core, picked by a seed that is always the same, where all of them would take hours:
 * php bin/mutate-sample.php COUNT CHANGES EXCEPT PART TESTS... Changes that two runs of the tests at a time catch are counted; what no test sees is
 * shown. The score comes with the bounds between which that of all changes lies, 19 times in 20 (Wilson, 1927).
 */

use Pest\Mutate\Cache\NullStore;
use Pest\Mutate\Contracts\MutatorSet;
use Pest\Mutate\Plugins\Mutate;
use Pest\Mutate\Support\MutationGenerator;
use Pest\Support\Container;
use Psr\SimpleCache\CacheInterface;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Symfony\Component\Console\Formatter\OutputFormatter;
use Symfony\Component\Finder\Finder;
use Symfony\Component\Process\Exception\ProcessTimedOutException;
use Symfony\Component\Process\Process;

require __DIR__.'/../vendor/autoload.php';

Container::getInstance()->add(CacheInterface::class, new NullStore);

const AT_ONCE = 2;
const LONGEST = 900;

[, $count, $changes, $except, $part] = $argv;
$tests = [];
foreach (array_slice($argv, 5) as $path) {
    $tests = [...$tests, ...(is_dir($path) ? array_keys(iterator_to_array(Finder::create()->files()->name('*Test.php')->in($path))) : [$path])];
}

/** @return list<class-string> */
$mutators = function (string $names): array {
    $all = [];
    foreach (explode(',', $names) as $name) {
        $class = constant('Pest\Mutate\Mutators::'.strtoupper($name));
        $all = [...$all, ...(is_a($class, MutatorSet::class, true) ? $class::mutators() : [$class])];
    }

    return $all;
};
$wanted = array_values(array_diff($mutators($changes), $mutators($except)));
$mutations = [];
foreach (Finder::create()->files()->name('*.php')->in("core/src/$part")->sortByName() as $file) {
    $mutations = [...$mutations, ...(new MutationGenerator)->generate($file, $wanted)];
}
$all = count($mutations);
if ($all === 0) {
    fwrite(STDERR, "Tall Crow: nothing in core/src/$part can be changed so.\n");
    exit(2);
}
$picked = array_slice((new Randomizer(new Mt19937(1)))->shuffleArray($mutations), 0, (int) $count);

$start = function (int $at) use ($picked, $tests): Process {
    $mutation = $picked[$at];
    // The tests of the class itself are the first to see it.
    $name = $mutation->file->getBasename('.php');
    usort($tests, fn (string $one, string $other): int => [! str_contains($one, $name), $one] <=> [! str_contains($other, $name), $other]);
    $process = new Process(['php', '-d', 'memory_limit=2G', 'vendor/bin/pest', '--compact', '--bail', ...$tests], env: [
        Mutate::ENV_MUTATION_TESTING => (string) $mutation->file->getRealPath(),
        Mutate::ENV_MUTATION_FILE => $mutation->modifiedSourcePath,
    ], timeout: LONGEST);
    $process->start();

    return $process;
};
[$running, $next, $caught] = [[], 0, 0];
while ($running !== [] || $next < count($picked)) {
    while (count($running) < AT_ONCE && $next < count($picked)) {
        $running[$next] = $start($next);
        $next++;
    }
    foreach ($running as $at => $process) {
        $isCaught = null;
        try {
            $process->checkTimeout();
            if (! $process->isRunning()) {
                $isCaught = ! $process->isSuccessful();
            }
        } catch (ProcessTimedOutException) {
            $isCaught = true;
        }
        if ($isCaught === null) {
            continue;
        }
        unset($running[$at]);
        $caught += $isCaught ? 1 : 0;
        if (! $isCaught) {
            $mutation = $picked[$at];
            printf("unseen: %s:%d\n%s\n", substr((string) $mutation->file->getRealPath(), strlen(dirname(__DIR__).'/core/src/')), $mutation->startLine, rtrim((string) (new OutputFormatter(false))->format($mutation->diff)));
        }
    }
    usleep(100_000);
}
[$tried, $z] = [count($picked), 1.96];
$share = $caught / $tried;
$middle = ($share + $z ** 2 / (2 * $tried)) / (1 + $z ** 2 / $tried);
$about = $z / (1 + $z ** 2 / $tried) * sqrt($share * (1 - $share) / $tried + $z ** 2 / (4 * $tried ** 2));
printf("%-14s %4d of %4d caught, picked from %d  %5.1f %% (%.0f to %.0f)\n", $part, $caught, $tried, $all, 100 * $share, 100 * max(0, $middle - $about), 100 * min(1, $middle + $about));
