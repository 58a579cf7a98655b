<?php

declare(strict_types=1);

namespace App\Sending\Houses;

/** A house rejects the request for good; the message says why and what to do. */
final class HouseDeclined extends \RuntimeException {}
