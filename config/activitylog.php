<?php

declare(strict_types=1);

return [
    'enabled' => true,
    'delete_records_older_than_days' => 36500,
    'default_log_name' => 'journal',
    'default_auth_driver' => null,
    'subject_returns_soft_deleted_models' => false,
    'activity_model' => App\Models\JournalEntry::class,
    'table_name' => 'journal',
    'database_connection' => null,
];
