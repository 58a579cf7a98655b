<?php

declare(strict_types=1);

namespace App\Bench;

final class ExportCancelled extends \RuntimeException {}
