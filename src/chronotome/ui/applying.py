"""What was chosen in Preferences, put to work at once: at the start, and whenever it is another."""

from PySide6.QtCore import Qt
from PySide6.QtGui import QGuiApplication

from chronotome.files.places import Settings
from chronotome.session.model import Click, Session
from chronotome.ui.desk import Desk
from chronotome.ui.theme import THEMES

DESKTOP = "desktop"
"""The theme that is as the desktop's is."""


def theme_name(chosen: str) -> str:
    """Day or night."""
    if chosen == DESKTOP:
        is_dark = QGuiApplication.styleHints().colorScheme() is Qt.ColorScheme.Dark
        return "night" if is_dark else "day"
    return chosen if chosen in THEMES else "day"


def apply_settings(desk: Desk, before: Settings, settings: Settings) -> None:
    """All but the sound devices, which start anew."""
    document = desk.document
    if before.midi != settings.midi or before is settings:
        desk.keys.listen_to_midi(settings.midi)
    document.steps_kept = settings.steps_kept
    document.save_every(settings.autosave_minutes)
    first = Session(click=Click(sound=settings.click))
    if first != document.first:
        document.begin_with(first)
    desk.taking.delays_ms = settings.input_ms
    desk.view.set_theme(THEMES[theme_name(settings.theme)])
