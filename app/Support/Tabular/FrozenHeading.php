<?php

declare(strict_types=1);

namespace App\Support\Tabular;

use OpenSpout\Writer\XLSX\Entity\SheetView;

/**
 * A view of a sheet whose first rows stay in sight. The library's own view writes an attribute that the file format
 * (ECMA-376 part 1, §18.3.1.87) does not have, so this one writes just what is needed.
 */
final class FrozenHeading extends SheetView
{
    public function __construct(private readonly int $rows)
    {
    }

    public function getXml(): string
    {
        return '<sheetView workbookViewId="0"><pane ySplit="'.$this->rows.'" topLeftCell="A'.($this->rows + 1)
            .'" activePane="bottomLeft" state="frozen"/></sheetView>';
    }
}
