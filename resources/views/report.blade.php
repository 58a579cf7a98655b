<!DOCTYPE html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <title>{{ $artwork->title }}: report</title>
    <style nonce="{{ $onPaper ? '' : Illuminate\Support\Facades\Vite::cspNonce() }}">
        body { font: 15px/1.5 system-ui, sans-serif; color: #1f1d1a; margin: 24px auto; max-width: 900px; padding: 0 20px; }
        h1 { font-size: 24px; margin: 0 0 4px; }
        h2 { font-size: 17px; margin: 26px 0 8px; border-bottom: 2px dotted #b8ad98; }
        .cloths { display: flex; flex-wrap: wrap; gap: 14px; }
        figure { margin: 0; }
        .cloth { width: 200px; padding: 14px; box-sizing: border-box; }
        .cloth img { width: 100%; display: block; }
        figcaption { font-size: 13px; padding-top: 4px; }
        table { border-collapse: collapse; width: 100%; }
        th, td { text-align: left; padding: 5px 8px; border-bottom: 1px solid #d8cfbd; vertical-align: top; }
        td.figure { font-family: ui-monospace, monospace; font-size: 13px; }
        /* The columns of all tables lie below one another. */
        .findings { table-layout: fixed; overflow-wrap: break-word; }
        .findings th:nth-child(1) { width: 17%; } .findings th:nth-child(2) { width: 15%; } .findings th:nth-child(3) { width: 18%; }
        .fail { color: #9b1c1c; font-weight: 600; }
        .warn { color: #8a5a00; font-weight: 600; }
        .pass { color: #2f6b3c; }
        @foreach ($artwork->brief->garments as $i => $garment)
        .cloth-{{ $i }} { background: {{ $garment->colour->toHex() }}; }
        @endforeach
        @if ($onPaper)
        body { font: 10px/1.45 'DejaVu Sans', sans-serif; margin: 0; padding: 0; }
        h1 { font-size: 17px; } h2 { font-size: 12px; margin: 16px 0 6px; }
        .on-paper td { border: 0; padding: 0 8px 0 0; font-size: 9px; }
        td.figure { font-family: 'DejaVu Sans', sans-serif; font-size: 9px; }
        @endif
        @media print { body { margin: 0; } tr { break-inside: avoid; } }
    </style>
</head>
<body>
    <h1>{{ $artwork->title }}</h1>
    <p>{{ $artwork->sheet->width }} × {{ $artwork->sheet->height }} px at {{ $artwork->sheet->ppi->value }} ppi, {{ round($artwork->sheet->box()->width(), 2) }} × {{ round($artwork->sheet->box()->height(), 2) }} in. Examined on {{ $day }}.</p>
    @if ($onPaper)
        <table class="on-paper"><tbody>
            @foreach (array_chunk(array_keys($artwork->brief->garments), 3) as $row)
                <tr>
                    @foreach ($row as $i)
                        <td><img src="{{ $pictures[$i] }}" width="210"><br>{{ $artwork->brief->garments[$i]->name }} {{ $artwork->brief->garments[$i]->colour->toHex() }}</td>
                    @endforeach
                </tr>
            @endforeach
        </tbody></table>
    @else
        <div class="cloths">
            @foreach ($artwork->brief->garments as $i => $garment)
                <figure><div class="cloth cloth-{{ $i }}"><img src="{{ $pictures[$i] }}" alt="The design on {{ $garment->name }}"></div><figcaption>{{ $garment->name }} {{ $garment->colour->toHex() }}</figcaption></figure>
            @endforeach
        </div>
    @endif
    @foreach (['fail' => 'Does not hold', 'warn' => 'To look at', 'meant' => 'Meant so', 'pass' => 'Holds'] as $kind => $heading)
        @php($told = array_filter($report->findings, fn ($finding) => $kind === 'meant' ? $finding->meant !== '' : $finding->meant === '' && $finding->verdict->value === $kind))
        @if ($told !== [])
            <h2>{{ $heading }} ({{ count($told) }})</h2>
            <table class="findings">
                <thead><tr><th>What</th><th>Measured</th><th>Limit</th><th>In words</th></tr></thead>
                <tbody>
                    @foreach ($told as $finding)
                        <tr><td class="{{ $kind }}">{{ $finding->word }}</td><td class="figure">{{ $finding->figure }}</td><td class="figure">{{ $finding->limit }}</td><td>{{ $finding->says }}@if ($finding->meant !== '') <strong>Meant so: {{ $finding->meant }}</strong>@endif</td></tr>
                    @endforeach
                </tbody>
            </table>
        @endif
    @endforeach
    <p>Limits are common practice of print houses unless a house says otherwise. Licences and rights are not examined here.</p>
</body>
</html>
