<?php

declare(strict_types=1);

namespace App\Drawing;

/** A sheet that cannot be printed as it stands, in the core's own words. */
final class PrintRefused extends \RuntimeException {}
