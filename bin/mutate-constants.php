<?php

declare(strict_types=1);

/**
 * Doubles each number that the core names as a constant, one at a time in a copy of the checkout, and tells which of the changes its tests do not see:
 * php bin/mutate-constants.php COPY PART TESTS... Of those some can't be seen: bounds of caches, how finely a search goes on once it has found.
 */
[, $copy, $part] = $argv;
$tests = array_slice($argv, 3);
chdir($copy) || exit(2);

[$seen, $all] = [0, 0];
foreach (glob("core/src/$part/{,*/}*.php", GLOB_BRACE) ?: [] as $file) {
    $text = (string) file_get_contents($file);
    preg_match_all('/const ([A-Z_]+) = (-?[0-9][0-9_.]*(?: [*\/] [0-9][0-9_.]*)?);/', $text, $constants, PREG_SET_ORDER | PREG_OFFSET_CAPTURE);
    foreach ($constants as [, [$name], [$number, $at]]) {
        $new = (float) $number === 0.0 ? "1 + $number" : "2 * ($number)";
        file_put_contents($file, substr_replace($text, $new, $at, strlen($number)));
        exec('timeout 600 php -d memory_limit=2G vendor/bin/pest --compact --bail '.implode(' ', array_map(escapeshellarg(...), $tests)).' 2>&1', $said, $code);
        file_put_contents($file, $text);
        $all++;
        $seen += $code === 0 ? 0 : 1;
        if ($code === 0) {
            printf("unseen: %s, %s %s as %s\n", substr($file, strlen('core/src/')), $name, $number, $new);
        }
    }
}
printf("%-14s %4d of %4d constants seen\n", $part, $seen, $all);
