/** Words of publishing, the web and commerce that dictionaries of the general language lack. */
export const TRADE_WORDS: ReadonlySet<string> = new Set(
  (
    'seo serp serps backlink backlinks ebook ebooks webinar webinars blogger bloggers blogging blog blogs blogged blogpost ' +
    'vlog vlogs podcast podcasts podcasting podcaster newsletter newsletters hashtag hashtags listicle listicles permalink ' +
    'permalinks favicon favicons sitemap sitemaps robots.txt plugin plugins plug-in plug-ins addon addons add-on add-ons ' +
    'dropdown dropdowns checkbox checkboxes popup popups tooltip tooltips breadcrumb breadcrumbs lightbox infographic ' +
    'infographics clickbait clickthrough paywall paywalls freemium upsell upsells upselling cross-sell cross-selling ' +
    'onboarding onboard onboarded offboarding chatbot chatbots wireframe wireframes storyboard storyboards mockup mockups ' +
    'screenshot screenshots screencast screencasts thumbnail thumbnails livestream livestreams livestreaming geolocation ' +
    'geotag geotagged metadata api apis json html css url urls uri uris http https xml yaml csv pdf pdfs svg png jpeg gif ' +
    'webp avif rss cms crm kpi kpis roi b2b b2c saas faq faqs ui ux ugc ctr cpc cpm ppc opt-in opt-out evergreen ' +
    'rebrand rebranded rebranding influencer influencers crowdfunding crowdsourced crowdsourcing dropship dropshipping ' +
    'ecommerce e-commerce email emails emailed emailing inbox inboxes autoresponder unsubscribe unsubscribed reshare ' +
    'reshares repost reposts reposted retarget retargeting geotargeting monetise monetised monetising monetize monetized ' +
    'gamification gamify microsite microsites subdomain subdomains hostname hostnames username usernames login logins signup ' +
    'sign-up sign-ups logout filename filenames filesystem filesystems whitespace namespace namespaces wifi wi-fi bluetooth ' +
    'smartphone smartphones smartwatch tablet touchscreen touchscreens timestamp timestamps timeline timelines workflow ' +
    'workflows workspace workspaces codebase codebases changelog changelogs readme markdown wysiwyg browsable clickable ' +
    'scrollable shareable searchable tappable skimmable scannable linkable downloadable uploadable customisable customizable ' +
    'homepage homepages webpage webpages website websites webmaster webmasters intranet intranets spreadsheet spreadsheets ' +
    'slideshow slideshows playlist playlists brainstorm brainstorming takeaway takeaways actionable roadmap roadmaps ' +
    'freelancer freelancers coworking stakeholder stakeholders startup startups upskill upskilling how-to how-tos ' +
    'et al se cetera viz versa hoc facto bona fide ad quo priori covid app apps online offline fallback fallbacks lookup lookups backend backends frontend frontends config configs ' +
    'middleware parser parsers tokenizer tokeniser regex regexes boolean booleans unicode ascii javascript typescript'
  ).split(' '),
);
