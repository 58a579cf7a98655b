<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

/** Under which heading a finding stands. */
enum Group: string
{
    case Sheet = 'sheet';
    case Pictures = 'pictures';
    case Cloth = 'cloth';
    case Wear = 'wear';
    case Composition = 'composition';
    case Detail = 'detail';
}
