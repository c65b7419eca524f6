<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Exports\ListExport;
use App\Http\Requests\ShownListRequest;
use App\Http\Requests\ShownTableRequest;
use App\Http\Responses\TableDownload;
use App\Models\Study;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** What stands on the screen, with its columns as they are shown, as a file. */
final class ShownExportController extends Controller
{
    public function list(ShownListRequest $request, Study $study, string $format, ListExport $export): StreamedResponse
    {
        $shown = $request->shown($this->weights($request, $study));
        $table = $export->table($this->shown($study), $shown, $study->rulebook()->fitGate())->titled($request->title());

        return TableDownload::of($table, $format, "{$study->slug}-{$shown->list}-as-shown.{$format}", $request->boolean('guard', true));
    }

    public function table(ShownTableRequest $request, Study $study, string $format): StreamedResponse
    {
        return TableDownload::of(
            $request->table(),
            $format,
            "{$study->slug}-{$request->name()}.{$format}",
            $request->boolean('guard', true),
        );
    }
}
