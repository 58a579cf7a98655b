<?php

declare(strict_types=1);

namespace App\Drawing;

/** A sheet that cannot be printed; the message comes from the core. */
final class PrintRefused extends \RuntimeException {}
