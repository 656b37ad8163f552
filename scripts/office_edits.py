"""Edits the copies in a folder through a listening office program: answers, tracked changes, sorting, dates, merged cells."""

import sys
import time

import uno
from com.sun.star.beans import PropertyValue
from com.sun.star.table.TableSortFieldType import ALPHANUMERIC  # noqa: F401  (makes the type known)

PORT, FOLDER = sys.argv[1], sys.argv[2]
WRITER = {"docx": "MS Word 2007 XML", "odt": "writer8", "html": "HTML (StarWriter)"}
CALC = {"xlsx": "Calc MS Excel 2007 XML", "ods": "calc8", "html": "HTML (StarCalc)", "csv": "Text - txt - csv (StarCalc)"}


def value(name, content):
    made = PropertyValue()
    made.Name, made.Value = name, content
    return made


def desktop():
    local = uno.getComponentContext()
    resolver = local.ServiceManager.createInstanceWithContext("com.sun.star.bridge.UnoUrlResolver", local)
    for _ in range(60):
        try:
            there = resolver.resolve(f"uno:socket,host=127.0.0.1,port={PORT};urp;StarOffice.ComponentContext")
            return there.ServiceManager.createInstanceWithContext("com.sun.star.frame.Desktop", there)
        except Exception:
            time.sleep(0.5)
    sys.exit("the office program does not answer")


OFFICE = desktop()


def opened(name):
    return OFFICE.loadComponentFromURL(f"file://{FOLDER}/{name}", "_blank", 0, (value("Hidden", True),))


def saved(document, name, filters):
    for ending, how in filters.items():
        document.storeToURL(f"file://{FOLDER}/back-{name}.{ending}", (value("FilterName", how),))
    document.close(True)


def text_edit(name, edit):
    document = opened("sent.docx")
    edit(document, document.TextTables.getByIndex(0))
    saved(document, f"text-{name}", WRITER)


def answered(document, table):
    table.getCellByName("C2").String = "Anleger"


def tracked(document, table):
    document.RecordChanges = True
    cell = table.getCellByName("C2")
    cursor = cell.createTextCursor()
    cursor.gotoStart(False)
    cursor.gotoEnd(True)
    cursor.String = "Anleger"


def split(document, table):
    cursor = table.createCursorByCellName("C2")
    cursor.splitRange(1, True)


def numbered(document, table):
    cell = table.getCellByName("C2")
    cell.createEnumeration().nextElement().NumberingStyleName = "Numbering 123"


def sheet_edit(name, edit):
    document = opened("sent.xlsx")
    sheet = document.Sheets.getByIndex(0)
    sheet.unprotect("")
    rows = [row for row in range(200) if sheet.getCellByPosition(0, row).String == "1"]
    edit(sheet, rows[0])
    saved(document, f"sheet-{name}", CALC)


def typed(sheet, row):
    # As a keyboard does it, so that the program converts what it takes for a date or a number.
    sheet.getCellByPosition(2, row).FormulaLocal = "1-2"
    sheet.getCellByPosition(2, row + 1).FormulaLocal = "007"


def written(sheet, row):
    sheet.getCellByPosition(2, row).String = "Anleger"


def sorted_rows(sheet, row):
    table = sheet.getCellRangeByPosition(0, row, 4, row + 7)
    field = uno.createUnoStruct("com.sun.star.table.TableSortField")
    field.Field, field.IsAscending = 2, False
    table.sort((value("SortFields", uno.Any("[]com.sun.star.table.TableSortField", (field,))),))


def sorted_column(sheet, row):
    table = sheet.getCellRangeByPosition(2, row, 2, row + 7)
    field = uno.createUnoStruct("com.sun.star.table.TableSortField")
    field.Field, field.IsAscending = 0, False
    table.sort((value("SortFields", uno.Any("[]com.sun.star.table.TableSortField", (field,))),))


for each in (answered, tracked, split, numbered):
    text_edit(each.__name__, each)
for each in (written, typed, sorted_rows, sorted_column):
    sheet_edit(each.__name__, each)
