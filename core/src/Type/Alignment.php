<?php

declare(strict_types=1);

namespace TallCrow\Type;

enum Alignment: string
{
    case Left = 'left';
    case Centre = 'centre';
    case Right = 'right';
}
