class Theme {
    dark = $state(document.documentElement.classList.contains('dark'));

    turn(): void {
        this.dark = !this.dark;
        document.documentElement.classList.toggle('dark', this.dark);
        localStorage.setItem('rundfunk.theme', this.dark ? 'dark' : 'light');
    }
}

export const theme = new Theme();
