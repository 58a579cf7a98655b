<?php

declare(strict_types=1);

pest()->extend(Tests\TestCase::class)->in('Http');
