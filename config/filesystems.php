<?php

declare(strict_types=1);

return [
    'default' => 'local',
    'disks' => ['local' => ['driver' => 'local', 'root' => storage_path('app/private'), 'serve' => false]],
];
