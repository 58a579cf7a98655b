<?php

declare(strict_types=1);

// Debian's own tools, whatever else the machine has under their names.
putenv('PATH=/usr/bin:'.getenv('PATH'));

// Side by side, each process has a cache and a bucket of its own; its database the framework makes.
$token = getenv('TEST_TOKEN');
if ($token !== false && getenv('AWS_BUCKET') !== false) {
    foreach (['REDIS_DB' => $token, 'AWS_BUCKET' => getenv('AWS_BUCKET')."-$token"] as $name => $own) {
        putenv("$name=$own");
        $_SERVER[$name] = $_ENV[$name] = $own;
    }
}

pest()->extend(Tests\TestCase::class)->in('Http');
