<?php

declare(strict_types=1);

return [App\Providers\AppServiceProvider::class];
