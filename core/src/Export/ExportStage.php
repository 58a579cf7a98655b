<?php

declare(strict_types=1);

namespace TallCrow\Export;

enum ExportStage: string
{
    case Layers = 'layers';
    case Write = 'write';
    case Check = 'check';
}
