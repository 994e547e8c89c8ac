"""Colours by role, fonts, and the one style sheet."""

import tempfile
from dataclasses import dataclass
from functools import lru_cache
from pathlib import Path

from PySide6.QtCore import QByteArray, QSize, Qt
from PySide6.QtGui import QColor, QFont, QFontDatabase, QFontMetrics, QIcon, QImage, QPainter, QPixmap
from PySide6.QtSvg import QSvgRenderer

from chronotome import assets

ASSETS = Path(assets.__file__).parent
TEXT, FIGURES = "Inter", "JetBrains Mono"


@dataclass(frozen=True)
class Theme:
    """A colour for each role of the design."""

    name: str
    paper: str
    panel: str
    card: str
    rule: str
    strong_rule: str
    ink: str
    soft_ink: str
    faint_ink: str
    early: str
    late: str
    accent: str
    wash: str
    wave: str
    on_ink: str
    is_dark: bool = False


DAY = Theme(
    name="day",
    paper="#F5F1E8",
    panel="#EBE5D8",
    card="#FBF9F3",
    rule="#D3CAB9",
    strong_rule="#B9AE9A",
    ink="#1E2E3A",
    soft_ink="#515F6B",
    faint_ink="#8C9499",
    early="#2C5AA8",
    late="#A63424",
    accent="#7A3E73",
    wash="#E8D8A8",
    wave="#4A5862",
    on_ink="#FBF9F3",
)
NIGHT = Theme(
    name="night",
    paper="#1B2126",
    panel="#22292F",
    card="#161B1F",
    rule="#343D44",
    strong_rule="#4D5860",
    ink="#E9E3D6",
    soft_ink="#A9B0B3",
    faint_ink="#7A848A",
    early="#8FB4F0",
    late="#F0907F",
    accent="#D39BCB",
    wash="#433C24",
    wave="#A4AEB3",
    on_ink="#161B1F",
    is_dark=True,
)
STARK_DAY = Theme(
    name="stark day",
    paper="#FFFFFF",
    panel="#F4F1EA",
    card="#FFFFFF",
    rule="#857D6D",
    strong_rule="#5E574A",
    ink="#0B151C",
    soft_ink="#26333D",
    faint_ink="#454F57",
    early="#123E86",
    late="#7E1E12",
    accent="#5A2453",
    wash="#F2DFA0",
    wave="#24313A",
    on_ink="#FFFFFF",
)
STARK_NIGHT = Theme(
    name="stark night",
    paper="#0B0F12",
    panel="#12181C",
    card="#000000",
    rule="#6A757D",
    strong_rule="#94A0A8",
    ink="#FFFFFF",
    soft_ink="#E2E6E8",
    faint_ink="#B6BEC3",
    early="#B4CFFF",
    late="#FFB8AC",
    accent="#F2C4EB",
    wash="#40350B",
    wave="#D5DCE0",
    on_ink="#000000",
    is_dark=True,
)
"""All text of these has a contrast of 7 to 1 and more, and lines one of 3 to 1."""
THEMES = {theme.name: theme for theme in (DAY, NIGHT, STARK_DAY, STARK_NIGHT)}


def load_fonts() -> None:
    """Make the shipped fonts known to Qt."""
    for file in sorted((ASSETS / "fonts").iterdir()):
        if file.suffix in {".otf", ".ttf"}:
            QFontDatabase.addApplicationFont(str(file))


@lru_cache(maxsize=64)
def text_font(pixels: int = 12, weight: int = 400) -> QFont:
    font = QFont(TEXT)
    font.setPixelSize(pixels)
    font.setWeight(QFont.Weight(weight))
    return font


@lru_cache(maxsize=64)
def figure_font(pixels: int = 12, weight: int = 400) -> QFont:
    """Tabular figures: nothing jumps while it plays."""
    font = QFont(FIGURES)
    font.setPixelSize(pixels)
    font.setWeight(QFont.Weight(weight))
    return font


@lru_cache(maxsize=1024)
def figure_width(words: str, pixels: int = 12, weight: int = 400) -> int:
    """Pixels that words take in a font of figures: laid out once, painted at every step."""
    return QFontMetrics(figure_font(pixels, weight)).horizontalAdvance(words)


@lru_cache(maxsize=64)
def colour(value: str, alpha: int = 255) -> QColor:
    made = QColor(value)
    made.setAlpha(alpha)
    return made


def icon(name: str, value: str, size: int = 20) -> QIcon:
    """A shipped icon, drawn in a colour."""
    svg = (ASSETS / "icons" / f"{name}.svg").read_text("utf-8").replace("currentColor", value)
    renderer = QSvgRenderer(QByteArray(svg.encode()))
    result = QIcon()
    for scale in (1, 2):
        image = QImage(QSize(size, size) * scale, QImage.Format.Format_ARGB32_Premultiplied)
        image.fill(Qt.GlobalColor.transparent)
        painter = QPainter(image)
        renderer.render(painter)
        painter.end()
        pixmap = QPixmap.fromImage(image)
        pixmap.setDevicePixelRatio(scale)
        result.addPixmap(pixmap)
    return result


@lru_cache(maxsize=1)
def _pictures() -> tempfile.TemporaryDirectory[str]:
    """A style sheet takes pictures from files only: they last as long as the window."""
    return tempfile.TemporaryDirectory(prefix="chronotome-theme-")


@lru_cache(maxsize=16)
def picture(name: str, value: str, size: int) -> str:
    """The path of a shipped icon in a colour, and beside it one for screens of twice the density."""
    folder = Path(_pictures().name)
    drawn = icon(name, value, size)
    path = folder / f"{name}-{value.lstrip('#')}-{size}.png"
    drawn.pixmap(QSize(size, size), 1.0).save(str(path))
    drawn.pixmap(QSize(size, size), 2.0).save(str(path.with_stem(f"{path.stem}@2x")))
    return path.as_posix()


def style_sheet(theme: Theme) -> str:
    """Style of the standard widgets; lanes paint themselves."""
    t = theme
    return f"""
    * {{ font-family: "{TEXT}"; font-size: 12px; color: {t.ink}; outline: none; }}
    QMainWindow, QDialog, QMessageBox {{ background: {t.card}; }}
    QMenuBar {{ background: {t.panel}; border-bottom: 1px solid {t.rule}; padding: 2px 8px; }}
    QMenuBar::item {{ padding: 4px 8px; border-radius: 6px; background: transparent; }}
    QMenuBar::item:selected, QMenu::item:selected {{ background: {t.wash}; color: {t.ink}; }}
    QMenu {{ background: {t.card}; border: 1px solid {t.strong_rule}; padding: 4px; }}
    QMenu::item {{ padding: 4px 24px 4px 12px; border-radius: 4px; }}
    QMenu::item:disabled {{ color: {t.faint_ink}; }}
    QMenu::separator {{ height: 1px; background: {t.rule}; margin: 4px 8px; }}
    QToolTip {{ background: {t.card}; color: {t.ink}; border: 1px solid {t.strong_rule}; padding: 4px; }}
    QWidget#tray, QWidget#trayBody {{ background: {t.card}; }}
    QWidget#tray {{ border-left: 1px solid {t.rule}; }}
    QScrollArea {{ border: none; background: transparent; }}
    QScrollBar:vertical {{ background: transparent; width: 8px; margin: 0; }}
    QScrollBar::handle:vertical {{ background: {t.rule}; border-radius: 4px; min-height: 24px; }}
    QScrollBar::add-line, QScrollBar::sub-line {{ height: 0; }}
    QWidget#transport {{ background: {t.card}; border-bottom: 1px solid {t.rule}; }}
    QWidget#statusline {{ background: {t.panel}; border-top: 1px solid {t.rule}; }}
    QWidget#rail {{ background: {t.panel}; border-right: 1px solid {t.rule}; }}
    QLabel#title {{ font-size: 17px; font-weight: 600; }}
    QLabel#soft {{ color: {t.soft_ink}; }}
    QLabel#scope {{ font-weight: 600; }}
    QLabel#caption {{ color: {t.soft_ink}; font-size: 10px; font-weight: 500; }}
    QLabel#figure {{ font-family: "{FIGURES}"; font-size: 12px; }}
    QLabel#bigfigure {{ font-family: "{FIGURES}"; font-size: 17px; }}
    QLabel#heading {{ font-weight: 600; }}
    QPushButton {{ background: {t.paper}; border: 1px solid {t.rule}; border-radius: 6px;
        padding: 5px 12px; }}
    QPushButton:hover {{ border-color: {t.strong_rule}; background: {t.panel}; }}
    QPushButton:focus, QLineEdit:focus {{ border-color: {t.accent}; }}
    QPushButton:checked {{ background: {t.wash}; border-color: {t.strong_rule}; }}
    QPushButton:disabled {{ color: {t.faint_ink}; }}
    QPushButton#main {{ background: {t.ink}; color: {t.on_ink}; border-color: {t.ink}; font-weight: 600; }}
    QPushButton#main:disabled {{ background: {t.panel}; color: {t.faint_ink}; border-color: {t.rule}; }}
    QPushButton#tool {{ padding: 0; }}
    QTextBrowser {{ background: {t.card}; border: 1px solid {t.rule}; border-radius: 6px; font-size: 13px; }}
    QPlainTextEdit {{ background: {t.card}; border: 1px solid {t.rule}; border-radius: 6px; }}
    QPlainTextEdit:focus {{ border-color: {t.accent}; }}
    QPushButton#answer {{ background: {t.card}; border-color: {t.strong_rule}; padding: 4px 10px; }}
    QPushButton#band {{ padding: 5px 4px; }}
    QPushButton#step {{ padding: 5px 0; min-width: 26px; }}
    QPushButton#play {{ background: {t.ink}; border-radius: 16px; padding: 0; border: none; }}
    QPushButton#play:focus {{ border: 3px solid {t.accent}; }}
    QPushButton#play[recording="true"] {{ background: {t.late}; }}
    QLineEdit {{ background: {t.card}; border: 1px solid {t.rule}; border-radius: 6px; padding: 3px 6px;
        selection-background-color: {t.wash}; selection-color: {t.ink}; }}
    QLineEdit#figure {{ font-family: "{FIGURES}"; font-size: 17px; padding: 0 2px;
        border-color: transparent; }}
    QLineEdit#figure:hover, QLineEdit#figure:focus {{ border-color: {t.strong_rule}; }}
    QComboBox {{ background: {t.card}; border: 1px solid {t.rule}; border-radius: 6px; padding: 3px 8px; }}
    QComboBox:focus {{ border-color: {t.accent}; }}
    QComboBox::drop-down {{ border: none; width: 18px; }}
    QComboBox::down-arrow {{ image: url({picture("arrow", t.soft_ink, 10)}); width: 10px; height: 10px; }}
    QComboBox QAbstractItemView {{ background: {t.card}; border: 1px solid {t.strong_rule};
        selection-background-color: {t.wash}; selection-color: {t.ink}; }}
    QFileDialog QListView, QFileDialog QTreeView {{ background: {t.paper}; border: 1px solid {t.rule};
        border-radius: 6px; selection-background-color: {t.wash}; selection-color: {t.ink}; }}
    QFileDialog QTreeView {{ font-size: 11px; }}
    QFileDialog QHeaderView {{ background: {t.panel}; border: none; }}
    QFileDialog QHeaderView::section {{ background: {t.panel}; color: {t.soft_ink}; border: none;
        padding: 3px 6px; }}
    QFileDialog QToolButton {{ background: {t.paper}; border: 1px solid {t.rule}; border-radius: 6px;
        padding: 3px; }}
    QCheckBox {{ color: {t.ink}; spacing: 8px; }}
    QCheckBox:disabled {{ color: {t.faint_ink}; }}
    QCheckBox::indicator:disabled, QCheckBox::indicator:checked:disabled {{ border-color: {t.strong_rule};
        background: {t.panel}; }}
    QCheckBox::indicator {{ width: 13px; height: 13px; border: 1px solid {t.soft_ink}; border-radius: 3px;
        background: {t.paper}; }}
    QCheckBox::indicator:checked {{ background: {t.ink}; border-color: {t.ink};
        image: url({picture("tick", t.on_ink, 11)}); }}
    QListWidget#grooves {{ background: {t.card}; border: 1px solid {t.rule}; border-radius: 6px;
        outline: none; }}
    QListWidget#grooves:focus {{ border-color: {t.accent}; }}
    QTreeWidget {{ background: {t.card}; border: 1px solid {t.rule}; border-radius: 6px; outline: none;
        selection-background-color: {t.wash}; selection-color: {t.ink}; }}
    QTreeWidget::item {{ padding: 3px 4px; border: none; }}
    QTreeWidget::item:selected {{ background: {t.wash}; color: {t.ink}; }}
    QTableView#onsets {{ background: {t.card}; border: 1px solid {t.rule}; border-radius: 6px;
        font-family: "{FIGURES}"; font-size: 11px; outline: none;
        selection-background-color: {t.wash}; selection-color: {t.ink}; }}
    QTableView#onsets QHeaderView {{ background: {t.card}; border: none; }}
    QTableView#onsets QHeaderView::section {{ background: {t.card}; color: {t.soft_ink}; border: none;
        border-bottom: 1px solid {t.rule}; font-family: "{TEXT}"; font-size: 10px; padding: 2px 4px; }}
    QSpinBox {{ background: {t.card}; border: 1px solid {t.rule}; border-radius: 6px; padding: 3px 4px; }}
    QSpinBox:focus {{ border-color: {t.accent}; }}
    QProgressBar {{ background: {t.card}; border: 1px solid {t.rule}; border-radius: 4px; height: 8px;
        text-align: center; }}
    QProgressBar::chunk {{ background: {t.accent}; border-radius: 3px; }}
    QDialogButtonBox {{ dialogbuttonbox-buttons-have-icons: 0; }}
    """
