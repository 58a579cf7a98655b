<?php

declare(strict_types=1);

/**
 * Tries some changes of a part of the core, picked by a seed that is always the same, where all of them would take hours:
 * php bin/mutate-sample.php COUNT CHANGES EXCEPT PART TESTS... Each is made in one of two copies of the checkout, whose tests are run side by side: the
 * files that Pest's own runs put under the tests by a wrapper of streams keep other programs from being started with files. Changes that the tests catch
 * are counted; what no test sees is shown. The score comes with the bounds between which that of all changes lies, 19 times in 20 (Wilson, 1927).
 */

use Pest\Mutate\Cache\NullStore;
use Pest\Mutate\Contracts\MutatorSet;
use Pest\Mutate\Mutation;
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

function within_core(Mutation $mutation): string
{
    return substr((string) $mutation->file->getRealPath(), strlen(dirname(__DIR__).'/core/src/'));
}

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

$copies = [];
foreach (range(1, AT_ONCE) as $_) {
    $copies[] = $copy = sys_get_temp_dir().'/mutation-'.bin2hex(random_bytes(4));
    mkdir($copy);
    exec('cp -r app artisan bin bootstrap composer.json config core database demo docs phpunit.xml print-house routes tests vendor .env '.escapeshellarg($copy));
}
register_shutdown_function(fn () => exec('rm -rf '.implode(' ', array_map(escapeshellarg(...), $copies))));

$begun = function (string $copy, ?int $at) use ($picked, $tests): Process {
    $name = $at === null ? '' : $picked[$at]->file->getBasename('.php');
    if ($at !== null) {
        copy($picked[$at]->modifiedSourcePath, "$copy/core/src/".within_core($picked[$at]));
    }
    // The tests of the class itself are the first to see it.
    usort($tests, fn (string $one, string $other): int => [! str_contains($one, $name), $one] <=> [! str_contains($other, $name), $other]);
    $process = new Process(['php', '-d', 'memory_limit=2G', 'vendor/bin/pest', '--compact', '--bail', ...$tests], $copy, timeout: LONGEST);
    $process->start();

    return $process;
};
// Unchanged, all must pass, or nothing is said by those that fail.
if ($begun($copies[0], null)->wait() !== 0) {
    fwrite(STDERR, "Tall Crow: the tests of $part fail as they are. Mend them first.\n");
    exit(2);
}
[$running, $next, $caught] = [[], 0, 0];
while ($running !== [] || $next < count($picked)) {
    foreach (array_diff($copies, array_column($running, 1)) as $copy) {
        if ($next < count($picked)) {
            $running[$next] = [$begun($copy, $next), $copy];
            $next++;
        }
    }
    foreach ($running as $at => [$process, $copy]) {
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
        copy((string) $picked[$at]->file->getRealPath(), "$copy/core/src/".within_core($picked[$at]));
        $caught += $isCaught ? 1 : 0;
        if (! $isCaught) {
            $mutation = $picked[$at];
            printf("unseen: %s:%d\n%s\n", within_core($mutation), $mutation->startLine, rtrim((string) (new OutputFormatter(false))->format($mutation->diff)));
        }
    }
    usleep(100_000);
}
[$tried, $z] = [count($picked), 1.96];
$share = $caught / $tried;
$middle = ($share + $z ** 2 / (2 * $tried)) / (1 + $z ** 2 / $tried);
$about = $z / (1 + $z ** 2 / $tried) * sqrt($share * (1 - $share) / $tried + $z ** 2 / (4 * $tried ** 2));
printf("%-14s %4d of %4d caught, picked from %d  %5.1f %% (%.0f to %.0f)\n", $part, $caught, $tried, $all, 100 * $share, 100 * max(0, $middle - $about), 100 * min(1, $middle + $about));
