<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

/** A check that takes its time over every pixel: run where a design is examined, not after every change of it. */
interface LooksClosely {}
