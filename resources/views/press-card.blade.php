<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<title>Press card</title>
<style>
body { font-family: "DejaVu Sans", sans-serif; font-size: 11pt; color: #1f1d1a; }
table { border-collapse: collapse; width: 100%; margin: 10pt 0; }
th, td { border: 1px solid #8f8a80; padding: 6pt 8pt; text-align: left; font-weight: normal; }
th { width: 34%; }
.care { border: 2px solid #9c3a1a; padding: 8pt 10pt; }
.mirrored { font-size: 22pt; font-weight: bold; }
</style>
</head>
<body>
<h1>Press card</h1>
@if ($gang->asked['mirrored'])<p class="mirrored">The film is mirrored: print side to the cloth.</p>@endif
<table>
<tr><th scope="row">Temperature</th><td>{{ $card?->temperature === null ? '' : $card->temperature.' °'.$card->unit }}</td></tr>
<tr><th scope="row">Time</th><td>{{ $card?->seconds === null ? '' : $card->seconds.' s' }}</td></tr>
<tr><th scope="row">Pressure</th><td>{{ $card?->pressure }}</td></tr>
<tr><th scope="row">Peel</th><td>{{ $card?->peel }}</td></tr>
<tr><th scope="row">Who says so</th><td>{{ $card?->source }}</td></tr>
</table>
@if ($card === null)<p>These figures are empty on purpose: take them from the makers of the film, the press and the garment.</p>@endif
<h2>On this film</h2>
<table>@foreach ($gang->asked['pieces'] as $piece)<tr><th scope="row">{{ $piece['count'] }} ×</th><td>{{ $piece['title'] }}{{ $piece['width'] === null ? '' : ', '.round($piece['width'], 2).' in wide' }}</td></tr>@endforeach</table>
<p class="care">Hot plates burn: use the guards and gloves of the press. Air the room. Try on a scrap first. Follow the instructions of the makers of press, film and garment, and your local rules; they go before anything said here.</p>
</body>
</html>
