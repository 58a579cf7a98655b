<!DOCTYPE html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <title>{{ $title }}: licence sheet</title>
    <style nonce="{{ $onPaper ? '' : Illuminate\Support\Facades\Vite::cspNonce() }}">
        body { font: 15px/1.5 system-ui, sans-serif; color: #1f1d1a; margin: 24px auto; max-width: 960px; padding: 0 20px; }
        h1 { font-size: 24px; margin: 0 0 4px; }
        table { border-collapse: collapse; width: 100%; margin-top: 16px; }
        th, td { text-align: left; padding: 6px 8px; border-bottom: 1px solid #d8cfbd; vertical-align: top; }
        td.picture img { width: 90px; display: block; }
        .small { font-size: 13px; color: #5d5749; }
        .not-allowed { color: #9b1c1c; font-weight: 600; }
        .look, .allowed-with-duties { color: #8a5a00; font-weight: 600; }
        .allowed { color: #2f6b3c; }
        @if ($onPaper)
        body { font: 9px/1.4 'DejaVu Sans', sans-serif; margin: 0; padding: 0; }
        h1 { font-size: 16px; } .small { font-size: 8px; } td.picture img { width: 60px; }
        @endif
    </style>
</head>
<body>
    <h1>{{ $title }}</h1>
    <p>{{ $shop }}, {{ $day }}. {{ count($rows) }} {{ count($rows) === 1 ? 'piece' : 'pieces' }}. The terms are those that the shop has stated; this is no legal advice, and what holds is for the licences themselves to say.</p>
    <table>
        <thead><tr><th>Piece</th><th></th><th>Licence</th><th>Terms</th><th>Proof</th><th>Sold</th></tr></thead>
        <tbody>
        @foreach ($rows as $row)
            <tr>
                <td class="picture">@if ($row['picture'] !== '')<img src="{{ $row['picture'] }}" alt="">@endif</td>
                <td><strong>{{ $row['title'] }}</strong><div class="small">{{ $row['file'] }}<br>{{ $row['author'] }} {{ $row['url'] }}</div>@if ($row['ruling'] !== '')<div class="{{ $row['ruling'] }}">{{ $row['says'] }}</div><div class="small">{{ $row['why'] }}</div>@endif</td>
                <td>{{ $row['licence'] === '' ? 'none recorded' : $row['licence'] }}<div class="small">{{ $row['held'] }}</div></td>
                <td>@foreach ($row['terms'] as $term)<div>{{ $term }}</div>@endforeach</td>
                <td>@forelse ($row['proofs'] as $proof)<div>{{ $proof }}</div>@empty none kept @endforelse</td>
                <td>{{ $row['sold'] }}</td>
            </tr>
        @endforeach
        </tbody>
    </table>
    @if ($credits !== '')
        <h2>Credits that are due</h2>
        @foreach (explode("\n", $credits) as $line)<p>{{ $line }}</p>@endforeach
    @endif
</body>
</html>
