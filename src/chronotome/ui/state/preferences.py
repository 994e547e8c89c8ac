"""What the person chose for the application, beyond any session: kept as soon as it is another."""

from collections.abc import Callable, Sequence
from pathlib import Path

import msgspec

from chronotome.files.places import Settings, save_settings, with_first


class Preferences:
    """The settings as they are now. `keep` is the one way to another value."""

    def __init__(self, settings: Settings) -> None:
        self._settings = settings
        self.heard: list[Callable[[Settings, Settings], None]] = []
        """Who wants to know at once that something else was chosen: (before, now)."""

    @property
    def settings(self) -> Settings:
        return self._settings

    @property
    def reaction_seconds(self) -> float:
        """By which a hand is late that beats along."""
        return self._settings.reaction_ms / 1000

    def keep(self, **changes: object) -> None:
        """Other values for some of them, on disk at once."""
        self._use(msgspec.structs.replace(self._settings, **changes))

    def remember(self, folder: Path) -> None:
        """The folder is the most recent session."""
        self.keep(recent=with_first(self._settings.recent, folder))

    def remember_files(self, paths: Sequence[Path]) -> None:
        """These recordings were opened last."""
        self.keep(recent_files=with_first(self._settings.recent_files, *paths))

    def _use(self, settings: Settings) -> None:
        before, self._settings = self._settings, settings
        save_settings(settings)
        for each in self.heard:
            each(before, settings)
