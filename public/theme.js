// Before anything is drawn: the theme chosen last, or else the system's, so that the page does not flash.
(function () {
    var chosen = localStorage.getItem('rundfunk.theme');
    var dark = chosen === 'dark' || (chosen === null && matchMedia('(prefers-color-scheme: dark)').matches);
    document.documentElement.classList.toggle('dark', dark);
})();
