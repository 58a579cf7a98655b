<?php

declare(strict_types=1);

// Puts the fonts and art of the demo shop in demo/shelf, out of the installed packages: php demo/gather.php
require dirname(__DIR__).'/vendor/autoload.php';

Demo\DemoAssets::gather(__DIR__.'/shelf');
