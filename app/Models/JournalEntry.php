<?php

declare(strict_types=1);

namespace App\Models;

use Spatie\Activitylog\Models\Activity;

/**
 * An entry of the journal of actions. Append-only: the database refuses changes.
 *
 * @property ?int $shop_id
 */
final class JournalEntry extends Activity {}
