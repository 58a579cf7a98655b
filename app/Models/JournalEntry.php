<?php

declare(strict_types=1);

namespace App\Models;

use Spatie\Activitylog\Models\Activity;

/**
 * Who did what. Only added to: the database refuses anything else.
 *
 * @property ?int $shop_id
 */
final class JournalEntry extends Activity {}
