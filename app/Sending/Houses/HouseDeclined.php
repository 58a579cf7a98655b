<?php

declare(strict_types=1);

namespace App\Sending\Houses;

/** A house does not talk about this file at all; the message says why and what to do. */
final class HouseDeclined extends \RuntimeException {}
