<?php

declare(strict_types=1);

namespace App\Bench;

use Dompdf\Dompdf;
use Dompdf\Options;

/** Renders a page as PDF. Loading files and URLs is disabled: the page must contain everything it shows. */
final class Paper
{
    /** @param  'portrait'|'landscape'  $way */
    public static function pdf(string $html, string $way = 'portrait'): string
    {
        $options = (new Options)->setIsRemoteEnabled(false)->setIsPhpEnabled(false)->setIsJavascriptEnabled(false)->setDefaultFont('DejaVu Sans')->setAllowedProtocols(['data://']);
        $paper = new Dompdf($options);
        $paper->loadHtml($html, 'UTF-8');
        $paper->setPaper('A4', $way);
        $paper->render();

        return (string) $paper->output();
    }
}
